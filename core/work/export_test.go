package work

// InOrder is tested by itself, with steps that no cover has.
var InOrder = inOrder
