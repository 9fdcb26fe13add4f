package ref

// The gates that a cover has once.
var (
	FrontQuilted   = Ref{Kind: Gate, Piece: "front", Role: Quilted}
	FrontSewn      = Ref{Kind: Gate, Piece: "front", Role: Sewn}
	FrontPieced    = Ref{Kind: Gate, Piece: "front", Role: Pieced}
	FrontCentre    = Ref{Kind: Gate, Piece: "front", Role: Centre}
	FrontUntrimmed = Ref{Kind: Gate, Piece: "front", Role: Untrimmed}
	BackOverlap    = Ref{Kind: Gate, Piece: "back", Role: Overlap}
	CoverFinished  = Ref{Kind: Gate, Role: Finished}
	PadFilled      = Ref{Kind: Gate, Role: Filled}
)

// Row is the gate of a row of a cushion's front: of the part of a stack that has it, and its
// number there, from 1.
func Row(of Key, no int) Ref { return Ref{Kind: Gate, Piece: "front", Of: of, Role: DoRow, No: no} }

// Seam is the gate of a join: its second edge along its seam line.
func Seam(join [2]Seat) Ref { return Ref{Kind: Gate, Role: DoJoin, Join: join} }
