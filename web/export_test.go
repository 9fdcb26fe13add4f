package web

// ByTurns is what lets no more be worked out at once than there are places.
var ByTurns = byTurns
