package plan

import (
	"umschlag/core/length"
)

// The closed sets of words a plan uses. Each type lists its words once, in
// Values; reading, the schema and the user interface take them from there.
type (
	// ObjectKind is what gets covered.
	ObjectKind string
	// ObjectShape is the outline of a pad or a seat.
	ObjectShape string
	// CoverKind is the construction of the cover.
	CoverKind string
	// Fill of a form.
	Fill string
	// FoundEdge says whether a found panel includes its seam side.
	FoundEdge string
	// CornerKind is the shape of corners.
	CornerKind string
	// BottomFinish of a hood.
	BottomFinish string
	// PocketStyle is how a pocket is made.
	PocketStyle string
	// FlapStyle of a jacket.
	FlapStyle string
	// FaceKind is the construction of a face.
	FaceKind string
	// Setting of a grid.
	Setting string
	// OrderKind of cloths in a grid.
	OrderKind string
	// PocketFront is a pocket over the lower half of a plain face.
	PocketFront string
	// BorderCorner is how borders meet.
	BorderCorner string
	// Direction of strips and gathers.
	Direction string
	// TakeUpFrom is the source of a take-up figure.
	TakeUpFrom string
	// Absorb is what takes the quilting margin up.
	Absorb string
	// Wait is whether the back waits for the measured front.
	Wait string
	// BackKind is the closure.
	BackKind string
	// ZipPlace of a zip.
	ZipPlace string
	// BackSide is one of two pieces of a back, as it is seen.
	BackSide string
	// InsideFinish of seam allowances.
	InsideFinish string
	// BindingStyle is how binding is folded.
	BindingStyle string
	// Grain of strips.
	Grain string
	// Joins is how many joins strips have.
	Joins string
	// FittingKind is the kind of fitting.
	FittingKind string
	// EdgeName of a piece.
	EdgeName string
	// SoldBy is what a cloth is sold by.
	SoldBy string
	// Print direction of a cloth.
	Print string
	// ClothKind is what a cloth is used as.
	ClothKind string
	// ClothWeight is how heavy a cloth is.
	ClothWeight string
	// ClothBacking is whether a light interfacing is ironed to the wrong side of a cloth before it is cut.
	ClothBacking string
	// Per is what a price is for.
	Per string
	// Remedy is a way to deal with a size that came out otherwise.
	Remedy string
	// PanelKind is how a found panel was made.
	PanelKind string
	// ShapeEdge is how the edge of an appliquéd shape is held.
	ShapeEdge string
	// Twin is the second one of a shape.
	Twin string
	// Motif of a drawn cloth.
	Motif string
)

// The words that the reckoning itself asks about.
const (
	Form   ObjectKind = "form"
	Box    ObjectKind = "box"
	Book   ObjectKind = "book"
	Flat   ObjectKind = "flat"
	Found  ObjectKind = "found"
	Common            = "*" // the piece name that stands for all

	RoundShape ObjectShape = "round"

	Cushion      CoverKind = "cushion"
	BoxedCushion CoverKind = "boxed-cushion"
	Jacket       CoverKind = "jacket"
	Pad          CoverKind = "pad"

	PlainFace    FaceKind = "plain"
	GridFace     FaceKind = "grid"
	StripsFace   FaceKind = "strips"
	CheckerFace  FaceKind = "checker"
	StackFace    FaceKind = "stack"
	FoundFace    FaceKind = "found"
	GatheredFace FaceKind = "gathered"
	WindowsFace  FaceKind = "windows"

	Straight Setting = "straight"
	OnPoint  Setting = "on-point"

	AcrossWay Direction = "across"
	AlongWay  Direction = "along"
	Slantwise Direction = "diagonal"

	Alternate OrderKind = "alternate"
	Scrap     OrderKind = "scrap"
	// OnGround is the scrap order without the cloths that other letters of the block stand for.
	OnGround OrderKind = "on-ground"
	Rows     OrderKind = "rows"

	Butted BorderCorner = "butted"

	Estimate   TakeUpFrom = "estimate"
	FromSample TakeUpFrom = "sample"
	Given      TakeUpFrom = "given"

	AbsorbBorder Absorb = "border"
	AbsorbPatch  Absorb = "patch"
	AbsorbAccept Absorb = "accept"
	// AbsorbOuter lets the outermost patches alone take up a seam round them that is not the piecing seam.
	AbsorbOuter Absorb = "outer"

	WaitAuto Wait = "auto"
	WaitYes  Wait = "yes"
	WaitNo   Wait = "no"

	Envelope   BackKind = "envelope"
	FoldedBack BackKind = "folded"
	Lapped     BackKind = "lapped"
	Buttoned   BackKind = "buttons"
	Tied       BackKind = "ties"
	Zip        BackKind = "zip"
	SewnShut   BackKind = "sewn"

	OnTheBias     Grain = "bias"
	StraightGrain Grain = "straight"

	FewestJoins Joins = "fewest"
	LeastCloth  Joins = "least-cloth"

	DoubleBinding BindingStyle = "double"
	TapeBinding   BindingStyle = "tape"
	BoughtBinding BindingStyle = "bought"

	LeftSide  BackSide = "left"
	RightSide BackSide = "right"

	InTheSide ZipPlace = "side"
	Across    ZipPlace = "across"

	SquareCorners  CornerKind = "square"
	RoundCorners   CornerKind = "round"
	TaperedCorners CornerKind = "tapered"

	Folded   FlapStyle = "folded"
	TurnedIn FlapStyle = "turned-in"
	Flipped  FlapStyle = "flip"

	// A zigzag edge is dense; a blanket stitch is by machine or by hand; a straight one
	// runs inside the edge. Felt needs none, a loose shape is held by those on it, and a
	// line is no patch but stitching.
	ZigzagEdge   ShapeEdge = "zigzag"
	BlanketEdge  ShapeEdge = "blanket"
	HandEdge     ShapeEdge = "hand"
	StraightEdge ShapeEdge = "straight"
	NoEdge       ShapeEdge = "none"
	LooseEdge    ShapeEdge = "loose"
	DrawnLine    ShapeEdge = "line"

	ClothPanel   PanelKind = "cloth"
	CountedPanel PanelKind = "counted"
	WorkedPanel  PanelKind = "worked"
	PrintedPanel PanelKind = "printed"

	SeamIncluded FoundEdge = "included"
	SeamExcluded FoundEdge = "excluded"

	// TrimOff cuts off what is too much; OtherSeam closes with another seam; EaseIn sews it to
	// a back cut as planned; Recut makes up for it in the border; Follow cuts what is still
	// to come to it; Accept takes the other size.
	TrimOff    Remedy = "trim"
	OtherSeam  Remedy = "seam"
	EaseIn     Remedy = "ease"
	Recut      Remedy = "border"
	Follow     Remedy = "follow"
	AcceptSize Remedy = "accept"

	MirrorTwin Twin = "mirror"
	SameTwin   Twin = "same"

	FlatPocket   PocketStyle = "flat"
	FoldedPocket PocketStyle = "folded"

	FaceCloth ClothKind = "cloth"
	// QuiltedCloth is bought quilted: one layer that is as thick as a stack.
	QuiltedCloth ClothKind = "quilted"
	BattingKind  ClothKind = "batting"
	Interlining  ClothKind = "interlining"
	WebKind      ClothKind = "web"

	IronedBacking ClothBacking = "ironed"
	NoBacking     ClothBacking = "none"

	PerYard  Per = "yd"
	PerMetre Per = "m"

	ByLength  SoldBy = "length"
	ByBolt    SoldBy = "bolt"
	ByPanel   SoldBy = "panel"
	ByQuarter SoldBy = "quarter"

	PlainPrint Print = "plain"
	AllOver    Print = "all-over"
	TwoWay     Print = "two-way"
	OneWay     Print = "one-way"
)

// Values lists the words of each set, the usual one first.
func (ObjectKind) Values() []string   { return []string{"form", "box", "book", "flat", "found"} }
func (ObjectShape) Values() []string  { return []string{"rectangle", "round"} }
func (PocketStyle) Values() []string  { return []string{"flat", "folded"} }
func (Fill) Values() []string         { return []string{"feather", "polyester", "foam"} }
func (FoundEdge) Values() []string    { return []string{"excluded", "included"} }
func (CornerKind) Values() []string   { return []string{"square", "round", "tapered"} }
func (BottomFinish) Values() []string { return []string{"bound", "hem", "raw"} }
func (FlapStyle) Values() []string    { return []string{"folded", "turned-in", "flip"} }
func (Setting) Values() []string      { return []string{"straight", "on-point"} }
func (PocketFront) Values() []string  { return []string{"folded"} }

// Mixed tells that cloths are mixed by the seed.
func (k OrderKind) Mixed() bool { return k == Scrap || k == OnGround }

func (OrderKind) Values() []string    { return []string{"alternate", "scrap", "on-ground", "rows"} }
func (Direction) Values() []string    { return []string{"across", "along", "diagonal"} }
func (TakeUpFrom) Values() []string   { return []string{"estimate", "sample", "given"} }
func (Absorb) Values() []string       { return []string{"border", "patch", "outer", "accept"} }
func (Wait) Values() []string         { return []string{"auto", "yes", "no"} }
func (BackSide) Values() []string     { return []string{"left", "right"} }
func (ZipPlace) Values() []string     { return []string{"across", "side"} }
func (BindingStyle) Values() []string { return []string{"double", "tape", "bought"} }
func (Joins) Values() []string        { return []string{"fewest", "least-cloth"} }
func (Grain) Values() []string        { return []string{"bias", "straight"} }
func (EdgeName) Values() []string     { return []string{"left", "right", "top", "bottom"} }
func (ClothKind) Values() []string {
	return []string{"cloth", "quilted", "batting", "interlining", "web"}
}
func (SoldBy) Values() []string {
	return []string{"length", "bolt", "panel", "quarter"}
}
func (Per) Values() []string   { return []string{"yd", "m"} }
func (Print) Values() []string { return []string{"plain", "all-over", "two-way", "one-way"} }
func (Motif) Values() []string { return []string{"plain", "stripe", "dot", "check", "leaf"} }
func (InsideFinish) Values() []string {
	return []string{"zigzag", "overlock", "pinked", "bound", "enclosed", "raw"}
}
func (ShapeEdge) Values() []string {
	return []string{"zigzag", "blanket", "hand", "straight", "none", "loose", "line"}
}
func (Twin) Values() []string { return []string{"mirror", "same"} }
func (Remedy) Values() []string {
	return []string{"follow", "trim", "border", "seam", "ease", "accept"}
}
func (PanelKind) Values() []string {
	return []string{"cloth", "counted", "worked", "printed"}
}

// Sold is the length a price is for, and how that is said; as the unit is sold where
// nobody said.
func (p Per) Sold(unit length.Unit) (length.Length, string) {
	if p == PerYard || p == "" && unit == length.Inches {
		return length.Yard, "a yard"
	}
	return length.Metre, "a metre"
}

// PerOf is what a price is for in a unit, where nobody said.
func PerOf(unit length.Unit) Per {
	if unit == length.Inches {
		return PerYard
	}
	return PerMetre
}
