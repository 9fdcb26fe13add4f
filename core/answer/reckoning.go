// Package answer is the reckoning as it is told: the sizes, cuts, lays, steps and sums that follow from
// a plan, each as text and exact, and what can be read out of them without reckoning again.
package answer

import (
	"umschlag/core/finding"
	"umschlag/core/fit"
	"umschlag/core/ref"
	"umschlag/core/work"
)

// Format is the name and version every reckoning carries.
const Format = "umschlag/reckoning/1"

// L is a length as it is shown.
type L struct {
	// NM is the exact length in nanometres.
	NM int64 `json:"nm"`
	// Text is the length in the plan's unit, marked with ≈ when it is rounded.
	Text string `json:"text"`
	// Exact is the length in keyboard notation, nothing rounded.
	Exact string `json:"exact"`
}

// Size is a width across and a height up.
type Size struct {
	Width  L `json:"width"`
	Height L `json:"height"`
}

// Reckoning is everything that follows from a plan. Counts are for one cover;
// copies multiply cloths and lays only.
type Reckoning struct {
	Format string `json:"format"`
	Title  string `json:"title"`
	// Settled is the plan with every default written out.
	Settled any     `json:"settled,omitempty"`
	Pieces  []Piece `json:"pieces"`
	Cuts    []Cut   `json:"cuts"`
	// Units that blocks are sewn from, alike ones together whichever way they are turned.
	Units   []Units    `json:"units"`
	Lengths []Notion   `json:"lengths"`
	Back    *BackShown `json:"back,omitempty"`
	Joins   []Join     `json:"joins"`
	// Net lays the pieces as they join: rows of columns, each a stack from the top.
	Net [][][]Spot `json:"net"`
	// Strips of piping and binding as they lie on their cloth.
	Strips []Strips `json:"edge_strips"`
	// Fibre that fills a pad made at home; absent where it is bought.
	Fibre *Fibre `json:"fibre,omitempty"`
	// Fittings in their places, in the order of the plan.
	Fittings []Fitting `json:"fittings"`
	// Schools the plan follows, by the keys of its habits.
	Schools map[string]string `json:"schools"`
	// Counts of things, by name.
	Counts map[string]int `json:"counts"`
	Cloths []ClothNeed    `json:"cloths"`
	// Sums explain sizes: front.width is the front as trimmed; front.finished.width,
	// front.before_quilting.width, front.under.width and <cut id>.width the others.
	Sums  map[string][]Term `json:"sums"`
	Steps []Step            `json:"steps"`
	// SetUps is how often the machine is set up anew, Trips how often one walks to the iron.
	SetUps int `json:"set_ups"`
	Trips  int `json:"trips"`
	// Left is the time the rest of the work takes, for all covers, in minutes; Piles are
	// where each of several covers is.
	Left     int          `json:"left"`
	Piles    []Pile       `json:"piles"`
	Remedies []fit.Remedy `json:"remedies"`
	// Guide is where a quilted front is trimmed; absent until it is measured.
	Guide    *Guide            `json:"guide,omitempty"`
	Findings []finding.Finding `json:"findings"`
	// Pads are those that shops have for a cushion, the one that fills it best first; absent for other covers and where
	// the pad is made.
	Pads []PadFit `json:"pads,omitempty"`
	// Inspections are what is looked at when it is done.
	Inspections []work.Inspection `json:"inspections,omitempty"`
	// Cost is what it costs with all its covers; absent for a plan that cannot be cut.
	Cost *Cost `json:"cost,omitempty"`
}

// PadFit is a pad that is sold, and how it fills the cover: full, plump or slack.
type PadFit struct {
	Size  Size   `json:"size"`
	Round bool   `json:"round,omitempty"`
	How   string `json:"how"`
	Why   string `json:"why"`
}

// Guide says how far inside each edge of a quilted panel the cut lies, at both ends: the
// upper and lower edge at their left and right, the others at their upper and lower.
type Guide struct {
	Top    [2]L `json:"top"`
	Right  [2]L `json:"right"`
	Bottom [2]L `json:"bottom"`
	Left   [2]L `json:"left"`
	// Fits tells that no cut lies outside the panel, Skew by how much its diagonals differ,
	// and Off by how much the measurements do not agree.
	Fits bool `json:"fits"`
	Skew L    `json:"skew"`
	Off  L    `json:"off"`
}

// Piece is one piece of the cover at its three sizes.
type Piece struct {
	Name string `json:"name"`
	// Config is the name under which the plan decides what it is made of.
	Config         string `json:"config"`
	Title          string `json:"title"`
	Count          int    `json:"count"`
	Finished       Size   `json:"finished"`
	Trimmed        Size   `json:"trimmed"`
	BeforeQuilting Size   `json:"before_quilting"`
	// Planned is the trimmed size before a measurement replaced it.
	Planned *Size `json:"planned,omitempty"`
	// TakeUp in percent, across and along; where it comes from; and what it lies between,
	// across and along, where it is an estimate or a sample.
	TakeUp      [2]float64    `json:"take_up"`
	TakeUpFrom  string        `json:"take_up_from"`
	TakeUpRange [2][2]float64 `json:"take_up_range"`
	// Outline is the finished line, in nanometres from its top left corner,
	// right and down; TrimmedOutline and CutOutline are what is cut to after and
	// before quilting.
	Outline        []Vertex `json:"outline"`
	TrimmedOutline []Vertex `json:"trimmed_outline"`
	CutOutline     []Vertex `json:"cut_outline"`
	// Ditch is the line that keeps the pad inside a flange; empty without one.
	Ditch []Vertex `json:"ditch"`
	// Cells are the parts where they lie, in the same frame.
	Cells []Cell `json:"cells"`
	// Quilting is how it is quilted; absent where it is not.
	Quilting *Quilting `json:"quilting,omitempty"`
	// Seams are where the piece is joined, on its finished line.
	Seams []Seam `json:"seams"`
	// Press is where the allowances of its face's seams lie, and Conflicts the points at
	// which two of them lie to the same side.
	Press     []PressSeam `json:"press"`
	Conflicts []Point     `json:"press_conflicts"`
	// Patch of its first grid, or its block, as it finishes; absent without one.
	Patch *Size `json:"patch,omitempty"`
	// Gather is what a gathered face takes; absent for others.
	Gather *Gathers `json:"gather,omitempty"`
	// Thick is how thick its stack is, about.
	Thick L `json:"thick"`
	// Panel is a panel that is there already, the first of them; absent without.
	Panel *PanelShown `json:"panel,omitempty"`
	// Windows are folded windows; absent for other faces.
	Windows *WindowsShown `json:"windows,omitempty"`
	// Shapes are laid on it, the lowest first, and Threads sew their edges, in working
	// order.
	Shapes  []Shape  `json:"shapes"`
	Threads []Thread `json:"threads"`
	// Outlook is how true a pieced one is likely to come out, in each direction.
	Outlook []Outlook `json:"outlook"`
	// Ways are its colourways as they would lie.
	Ways []Way `json:"ways"`
	// Methods compare how the units of its blocks can be made, all alike pieces together.
	Methods []UnitMethods `json:"methods"`
	// Waits reports that the piece is cut only after a measurement.
	Waits bool `json:"waits"`
	// Grain is the way the length of its cloth runs on a piece of one cloth: up,
	// across, or from the bottom to the top of a print with one direction, one-way;
	// empty on a pieced face.
	Grain string `json:"grain"`
}

// Spot is a piece where it stands in the net.
type Spot struct {
	Piece string `json:"piece"`
	// Quarters are the quarter turns, clockwise, that bring it to its neighbour.
	Quarters int `json:"quarters"`
}

// Seam is one seam of a piece as it is drawn.
type Seam struct {
	// Join is the number of the join, from 1, in sewing order.
	Join int `json:"join"`
	// Path along the seam line, the last vertex ending it.
	Path []Vertex `json:"path"`
	// Marks are its middle and its quarters.
	Marks []Mark `json:"marks"`
	// Clips are the marks between which a straight seam is clipped, since it goes
	// round a corner of the other piece: begin and end in turn.
	Clips []Mark `json:"clips"`
}

// Gathers are what a length takes of cloth, and what the whole width of it yields.
type Gathers struct {
	// Direction it is drawn in: across, along or diagonal.
	Direction string `json:"direction"`
	// Ratio is before ÷ after, as given or from the sample.
	Ratio  float64 `json:"ratio"`
	Wanted L       `json:"wanted"`
	Needed L       `json:"needed"`
	Piece  L       `json:"piece"`
	Yields L       `json:"yields"`
}

// PanelShown is how a found panel is cut.
type PanelShown struct {
	Size Size `json:"size"`
	// Squares of a counted panel, and how many of them lie outside its design on a side.
	Squares [2]int `json:"squares"`
	Outside [2]int `json:"outside"`
	// From are the cutting lines of a printed panel, from its left, right, top and bottom
	// edge; empty where it was not measured.
	From []L `json:"from"`
	// Middle is what stays in the middle of a print, from its left and its top edge.
	Middle []L `json:"middle"`
}

// WindowsShown is what folded windows take: the unit as it finishes, the template its hem
// is pressed round, the side of a window, and the ground cloth against the front.
type WindowsShown struct {
	Unit     L       `json:"unit"`
	Template L       `json:"template"`
	Side     L       `json:"side"`
	Whole    int     `json:"whole"`
	Half     int     `json:"half"`
	Points   int     `json:"points"`
	Eats     float64 `json:"eats"`
}

// Shape is a shape laid on a piece.
type Shape struct {
	// Index in the list of its face, and About its path in the plan.
	Index int    `json:"index"`
	About string `json:"about"`
	Title string `json:"title"`
	// Twin is the second of two.
	Twin  bool   `json:"twin,omitempty"`
	Cloth string `json:"cloth"`
	// Stitch its edge is sewn with; empty where it is not. Line tells that it is
	// stitching alone.
	Stitch string `json:"stitch"`
	Line   bool   `json:"line,omitempty"`
	Late   bool   `json:"late,omitempty"`
	Level  int    `json:"level"`
	// Path is its outline in SVG path data, and Sewn and Covered the stretches of its
	// edge that show and that do not, all in millimetres from the finished top left
	// corner of the piece.
	Path    string `json:"path"`
	Sewn    string `json:"sewn"`
	Covered string `json:"covered"`
	// Box round it, and From its distances from the finished edges.
	Box  Box       `json:"box"`
	From Distances `json:"from"`
	// Size of the rectangle round it.
	Size Size `json:"size"`
	// Shows is how much of its edge is seen, of Round.
	Shows L `json:"shows"`
	Round L `json:"round"`
	// Lap is how deep it reaches under what covers its edge; absent where nothing does.
	Lap *L `json:"lap,omitempty"`
}

// Thread is what one thread sews of the shapes on a piece.
type Thread struct {
	Cloth  string `json:"cloth"`
	Stitch string `json:"stitch"`
	// Darker by two shades than its cloth: of a line.
	Darker bool `json:"darker,omitempty"`
	Late   bool `json:"late,omitempty"`
	// Shapes it sews, by their numbers on the piece from 0; Seam together, and Length of
	// thread.
	Shapes []int `json:"shapes"`
	Seam   L     `json:"seam"`
	Length L     `json:"length"`
}

// Way is a face in other cloths.
type Way struct {
	// Key it has in the plan.
	Key   ref.Key `json:"key"`
	Name  string  `json:"name"`
	Cells []Cell  `json:"cells"`
}

// PressSeam is one seam of a face and the side its allowance lies on, seen from the
// front: left, right, up, down, slanting ones as up-right, or open, or dark.
type PressSeam struct {
	Line
	// Kind is when it is sewn: block, row, between, border, stack.
	Kind string `json:"kind"`
	// Band is the row it lies in or under.
	Band int    `json:"band,omitempty"`
	Side string `json:"side"`
}

// Mark is a point on a seam line and the direction of the seam there, in degrees.
type Mark struct {
	X         int64   `json:"x"`
	Y         int64   `json:"y"`
	Direction float64 `json:"direction"`
}

// The kinds of what is marked on a piece in a step.
const (
	// WorkedEdge is an edge that is sewn, trimmed or bound, TapeEdge the way the tape lies, BeginEdge the point a seam
	// begins at, and CornerEdge a corner.
	WorkedEdge = "edge"
	TapeEdge   = "tape"
	BeginEdge  = "begin"
	CornerEdge = "corner"
)

// Edge is something marked on a piece in a step, in the piece's frame.
type Edge struct {
	Piece string `json:"piece"`
	// Kind is edge, tape, begin or corner.
	Kind string `json:"kind"`
	// Path along it, the last vertex ending it; one vertex where it is a point.
	Path []Vertex `json:"path"`
	// Text beside it, such as its length; absent without.
	Text string `json:"text,omitempty"`
}

// Lying is a piece as it lies on the table by itself, as cut.
type Lying struct {
	Title string `json:"title"`
	// Cloth by its letter, Wrong its wrong side up.
	Cloth string `json:"cloth"`
	Wrong bool   `json:"wrong,omitempty"`
	Size  Size   `json:"size"`
	// Edge is the side that is worked at as it lies, left, right or bottom, or empty where it is a fold or none;
	// Along is how long that is, and Folds how far from the side the lines are that it is folded on.
	Edge  string `json:"edge"`
	Along L      `json:"along"`
	Folds []L    `json:"folds"`
}

// Vertex is a corner of an outline and the side that leaves it: straight where
// it has no bulge, else an arc whose quarter angle has this tangent.
type Vertex struct {
	X     int64   `json:"x"`
	Y     int64   `json:"y"`
	Bulge float64 `json:"bulge,omitempty"`
}

// Cell is one part where it lies on a piece.
type Cell struct {
	Cut    string `json:"cut"`
	Cloth  string `json:"cloth"`
	X      int64  `json:"x"`
	Y      int64  `json:"y"`
	Width  int64  `json:"width"`
	Height int64  `json:"height"`
	Row    int    `json:"row,omitempty"`
	Column int    `json:"column,omitempty"`
	// Band is the number of the row it is sewn in, which on point runs slantwise.
	Band int `json:"band,omitempty"`
	// Over tells that it lies on cells before it, not beside them.
	Over bool `json:"over,omitempty"`
	// Line is its outline where it is no rectangle.
	Line []Vertex `json:"line,omitempty"`
}

// Quilting is the stitched lines of a piece, in the order they are sewn.
type Quilting struct {
	Lines []QuiltLine `json:"lines"`
	// Seam is how much is stitched, and Thread what that takes, top and bobbin.
	Seam    L   `json:"seam"`
	Thread  L   `json:"thread"`
	Bobbins int `json:"bobbins"`
	Minutes int `json:"minutes"`
	// Borders is how many of the minutes borders take that are quilted by themselves; After tells that those are sewn
	// on when the rest is quilted.
	Borders int  `json:"borders,omitempty"`
	After   bool `json:"after,omitempty"`
	// Sample is the pattern in lines, as a test square is quilted that has neither seams nor shapes; absent where it
	// has none of its own.
	Sample *SampleQuilting `json:"sample,omitempty"`
}

// SampleQuilting is a quilting as it stands in a plan, its lengths in keyboard notation.
type SampleQuilting struct {
	Lines []SampleLines `json:"lines,omitempty"`
	Pair  string        `json:"pair,omitempty"`
	Echo  string        `json:"echo,omitempty"`
	Free  string        `json:"free,omitempty"`
}

// SampleLines is a family of lines of it.
type SampleLines struct {
	Pitch string  `json:"pitch"`
	Angle float64 `json:"angle,omitempty"`
	Shift string  `json:"shift,omitempty"`
	Wave  string  `json:"wave,omitempty"`
}

// QuiltLine is one stitched line.
type QuiltLine struct {
	// Kind: line, wave, echo, ditch, diagonal, beside, around, across or free.
	Kind string `json:"kind"`
	// Border tells that it lies in borders that are quilted by themselves.
	Border bool `json:"border,omitempty"`
	// Family of parallel lines it belongs to, -1 for others.
	Family int `json:"family"`
	// Path from its beginning to its end, as SVG path data in millimetres from the finished
	// top left corner.
	Path   string `json:"path"`
	Length L      `json:"length"`
}

// Units are units of a block that are alike.
type Units struct {
	// Step they are sewn in, by its id.
	Step string `json:"step"`
	// Name is what several of them are called, and Says all that tells them: how large, of which fabrics.
	Name string `json:"name"`
	Says string `json:"says"`
	// Cells is one of them as a block is written by letters of its own, Cloths the letters of the fabrics of the plan
	// these stand for, Width and Height as sewn.
	Cells  string   `json:"cells"`
	Cloths []string `json:"cloths"`
	Width  L        `json:"width"`
	Height L        `json:"height"`
	// Need is how many all covers need, Have how many of them are sewn already, Over how many more come of what is cut
	// for the rest, Kept how many of those are in the cupboard, and Held how many like them are in the cupboard now.
	Need int `json:"need"`
	Have int `json:"have,omitempty"`
	Over int `json:"over,omitempty"`
	Kept int `json:"kept,omitempty"`
	Held int `json:"held,omitempty"`
	// Made are the places in the plan's list of units sewn already that tell of them, There how many those are, and
	// Surplus how many of these nothing takes.
	Made    []int `json:"made"`
	There   int   `json:"there,omitempty"`
	Surplus int   `json:"surplus,omitempty"`
	// Spare is how many can be put into the cupboard, and Takes how many can be taken out of it: none where the plan
	// put some there itself.
	Spare int `json:"spare,omitempty"`
	Takes int `json:"takes,omitempty"`
}

// Cut is one shape to be cut, with how many alike in one cover.
type Cut struct {
	ID string `json:"id"`
	// About is what it is, in fields; Part says it to people.
	About  ref.About `json:"about"`
	Piece  string    `json:"piece"`
	Part   string    `json:"part"`
	Title  string    `json:"title"`
	Layer  string    `json:"layer"`
	Cloth  string    `json:"cloth"`
	Shape  string    `json:"shape"`
	Width  L         `json:"width"`
	Height L         `json:"height"`
	Count  int       `json:"count"`
	// Total is how many are cut for all copies, those that were spoiled once more.
	Total int `json:"total"`
	// Gives is how many patches one piece gives, Patches how many are needed for all copies, Sewn how many of those are
	// in units that are sewn already, Over how many more they give, and As what one finishes as; absent where a piece
	// is a patch.
	Gives   int `json:"gives,omitempty"`
	Patches int `json:"patches,omitempty"`
	Sewn    int `json:"sewn,omitempty"`
	Over    int `json:"over,omitempty"`
	// Whole is how many of the pieces stay whole until they are sewn to each other in pairs.
	Whole int    `json:"whole,omitempty"`
	As    string `json:"as,omitempty"`
	// Line is the outline of a patch's template within the piece.
	Line []Vertex `json:"line,omitempty"`
	// Path is the template of a shape that is laid on, as SVG path data in millimetres
	// from its own top left corner; mirrored where it is fused.
	Path string `json:"path,omitempty"`
	// Mirrored tells that the path is drawn as seen from the wrong side, and Inset how far
	// within the piece it lies, in nanometres.
	Mirrored bool  `json:"mirrored,omitempty"`
	Inset    int64 `json:"inset,omitempty"`
	// Motif says where on it a motif of the print lies; absent where it may lie anywhere. Selvedge tells that one of
	// its edges is a selvedge.
	Motif    string `json:"motif,omitempty"`
	Selvedge bool   `json:"selvedge,omitempty"`
	// Waits names the gate this cut follows; empty when it can be cut now.
	Waits string `json:"waits,omitempty"`
	// WaitsFor is what is measured there, in words.
	WaitsFor string `json:"waits_for,omitempty"`
	// Spoiled is how many went wrong and are cut once more, over all copies.
	Spoiled int `json:"spoiled,omitempty"`
	// Done reports that the cut is ticked off in the plan.
	Done bool `json:"done"`
}

// Notion is a length of something that is not a piece.
type Notion struct {
	What   string `json:"what"`
	Length L      `json:"length"`
}

// BackShown is the closure as it comes out.
type BackShown struct {
	Kind    string `json:"kind"`
	Overlap L      `json:"overlap"`
	// Share of the finished width, in percent.
	Share float64 `json:"share"`
	// Opening is what the pad is pushed through.
	Opening L `json:"opening"`
	// Cloth is the length of its cloth that one back takes by itself; Notions and
	// Buttons are bought for it.
	Cloth   L        `json:"cloth"`
	Notions []Notion `json:"notions"`
	Buttons int      `json:"buttons"`
	// Lies are its pieces as they lie, the lowest first, and Marks what is on them, in
	// the frame of the back.
	Lies  []BackLie  `json:"lies"`
	Marks []BackMark `json:"marks"`
}

// BackLie is a piece of the back as it lies.
type BackLie struct {
	Cut   string `json:"cut"`
	Label string `json:"label"`
	Box   Box    `json:"box"`
}

// BackMark is a hem, a fold, a tape, a zip, a button, a tie or a gap; a line where one
// of its sides is 0.
type BackMark struct {
	Kind string `json:"kind"`
	Box  Box    `json:"box"`
}

// Join is two edges that are sewn to each other.
type Join struct {
	Title   string    `json:"title"`
	Count   int       `json:"count"`
	Between [2]string `json:"between"`
	Lengths [2]L      `json:"lengths"`
	Off     L         `json:"off"`
	// Fit says whether both sides are alike, whether one eases in, or whether it is
	// off: alike, eases, off.
	Fit string `json:"fit"`
}

// Fitting is a handle, a pocket or the like in its place.
type Fitting struct {
	// Index in the plan's list, and the key it has there.
	Index int     `json:"index"`
	Key   ref.Key `json:"key"`
	Title string  `json:"title"`
	On    string  `json:"on"`
	// Boxes it takes up, in the frame of its piece.
	Boxes []Box `json:"boxes"`
	// Round tells that the boxes hold circles.
	Round bool `json:"round"`
	// Lines of stitching across it, in the same frame.
	Lines []Line `json:"lines"`
	// From are the distances of its first box from the edges of the finished piece.
	From Distances `json:"from"`
	// Check names its distances from all four edges.
	Check  string `json:"check"`
	Fixing string `json:"fixing"`
}

// Box is a rectangle on a piece, in nanometres from its finished top left corner.
type Box struct {
	X      int64 `json:"x"`
	Y      int64 `json:"y"`
	Width  int64 `json:"width"`
	Height int64 `json:"height"`
}

// Distances from the four edges of a piece.
type Distances struct {
	Left   L `json:"left"`
	Right  L `json:"right"`
	Top    L `json:"top"`
	Bottom L `json:"bottom"`
}

// Line is a line of stitching from one point to another, in nanometres.
type Line struct {
	X1 int64 `json:"x1"`
	Y1 int64 `json:"y1"`
	X2 int64 `json:"x2"`
	Y2 int64 `json:"y2"`
}

// Strips are the strips of an edging as they lie on the piece of cloth they are cut
// from.
type Strips struct {
	// What is piping or binding, Cut the piece its strips are cut from.
	What string `json:"what"`
	Cut  string `json:"cut"`
	// Bias tells that they are cut slantwise from it.
	Bias bool `json:"bias,omitempty"`
	// Width of a strip, Need the length wanted, Joined the length they give end to end,
	// and Area what the area would give before joins and ends.
	Width  L          `json:"width"`
	Need   L          `json:"need"`
	Joined L          `json:"joined"`
	Area   L          `json:"area"`
	Cloth  Size       `json:"cloth"`
	Lie    []StripLie `json:"lie"`
}

// StripLie is one strip on its cloth.
type StripLie struct {
	Length  L       `json:"length"`
	Corners []Point `json:"corners"`
}

// Point is on a piece of cloth, in nanometres from its top left corner.
type Point struct {
	X int64 `json:"x"`
	Y int64 `json:"y"`
}

// Fibre is a range of grams.
type Fibre struct {
	// Gate is where what is weighed is recorded.
	Gate  string  `json:"gate"`
	Least float64 `json:"least"`
	Most  float64 `json:"most"`
	// Weighed is what it was filled with; absent where nobody said.
	Weighed *float64 `json:"weighed,omitempty"`
}

// ClothNeed is one cloth with its lay.
type ClothNeed struct {
	Cloth  string `json:"cloth"`
	Name   string `json:"name"`
	Length L      `json:"length"`
	// Need adds squaring and shrinkage to the length of the lay.
	Need L `json:"need"`
	// Buy is the need as it is sold, 0 when there is enough; Pieces how many panels or quarters that is, 0 of what is
	// sold by a length.
	Buy     L      `json:"buy"`
	BuyText string `json:"buy_text"`
	Pieces  int    `json:"pieces,omitempty"`
	// Have is what there is; absent when nobody said.
	Have  *L  `json:"have,omitempty"`
	Short L   `json:"short"`
	Lay   Lay `json:"lay"`
	// Free is what it would take placed freely, where that is known to be less.
	Free *L `json:"free,omitempty"`
	// Moves are how the length is cut, in their order.
	Moves []Move `json:"moves"`
	// Odd are the odd pieces that are cut first, each with its lay.
	Odd []OddLay `json:"odd"`
	// Done tells that all is cut of it, Returned that what was left over is back in the
	// cupboard.
	Done     bool `json:"done,omitempty"`
	Returned bool `json:"returned,omitempty"`
	// Sought tells that a shorter lay was looked for.
	Sought bool `json:"sought,omitempty"`
	// InCupboard tells that it is taken from the cupboard.
	InCupboard bool `json:"in_cupboard,omitempty"`
	// Kept is what the cupboard keeps of it for this plan.
	Kept *Kept `json:"kept,omitempty"`
}

// Kept is what is kept of a cloth for a plan.
type Kept struct {
	Length L `json:"length"`
	// Odd is how many odd pieces.
	Odd int `json:"odd"`
}

// OddLay is odd pieces of one size, laid out alike.
type OddLay struct {
	Width  L   `json:"width"`
	Length L   `json:"length"`
	Count  int `json:"count"`
	Lay    Lay `json:"lay"`
	// Moves are how it is cut.
	Moves []Move `json:"moves"`
}

// Lay is a cloth laid out: x across the width, y along the length.
type Lay struct {
	Width  L `json:"width"`
	Length L `json:"length"`
	Bound  L `json:"bound"`
	// Limit is what makes the bound so long: area, tallest, width or heights.
	Limit string `json:"limit"`
	// Certain tells that no lay of the plan's school is shorter.
	Certain bool     `json:"certain,omitempty"`
	Placed  []Placed `json:"placed"`
	// Strips from the squared end; none where pieces are placed freely.
	Strips []Strip `json:"strips"`
}

// Move is one thing to do at the cutting table.
type Move struct {
	// Kind is square, find, gap, across, out, leave, uncut, take or round: what tells moves apart.
	Kind string `json:"kind"`
	// Gives tells that pieces come of it, Within that it is about what is left of the strips cut just
	// before it, and Now that it is to be done at the table now.
	Gives  bool `json:"gives,omitempty"`
	Within bool `json:"within,omitempty"`
	Now    bool `json:"now,omitempty"`
	// Strips are those it is about, from 1; several lie on each other.
	Strips []int `json:"strips"`
	// Parts are what it gives, or what something stays whole for.
	Parts []MovePart `json:"parts"`
	// Title says it in large letters, Text what is done then; empty where the title says all.
	Title string `json:"title"`
	Text  string `json:"text,omitempty"`
	// Places are the pieces of the lay it is about.
	Places []int `json:"places"`
	Done   bool  `json:"done,omitempty"`
	// Waits is what is measured first.
	Waits string `json:"waits,omitempty"`
	// Ends are the cuts, by their index, of which nothing is left to be cut after it.
	Ends []int `json:"ends"`
}

// MovePart is so many pieces of a cut, by its index.
type MovePart struct {
	Cut   int `json:"cut"`
	Count int `json:"count"`
}

// Placed is one rectangle of one cut.
type Placed struct {
	// Cut is the index into cuts.
	Cut    int `json:"cut"`
	X      L   `json:"x"`
	Y      L   `json:"y"`
	Width  L   `json:"width"`
	Height L   `json:"height"`
	// Room is what is set aside for it there: more than its size while it waits for a measurement.
	Room   Rect `json:"room"`
	Turned bool `json:"turned"`
	// Strip it is cut from and column within that, from 1; 0 where it is placed freely.
	Strip  int `json:"strip"`
	Column int `json:"column"`
}

// Rect is a rectangle on a cloth.
type Rect struct {
	X      L `json:"x"`
	Y      L `json:"y"`
	Width  L `json:"width"`
	Height L `json:"height"`
}

// Strip is one cut across the cloth.
type Strip struct {
	Y      L `json:"y"`
	Height L `json:"height"`
}

// Term is one named part of a size.
type Term struct {
	Term   string `json:"term"`
	Amount L      `json:"amount"`
	Kind   string `json:"kind"`
	// Again tells that it is the one before once more: said together with it, as so many times.
	Again bool `json:"again,omitempty"`
}

// Caution is what is said where something can hurt someone: the word it goes by, and all of it. Said tells that an
// earlier step said it in full.
type Caution struct {
	Word string `json:"word"`
	Text string `json:"text"`
	Said bool   `json:"said,omitempty"`
}

// Step is one thing to do, in working order.
type Step struct {
	ID string `json:"id"`
	// About is what is done, and to what, in fields.
	About ref.About `json:"about"`
	Stage string    `json:"stage"`
	Title string    `json:"title"`
	Text  string    `json:"text"`
	// Piece that lies on the table, by its name; absent where it is several or none.
	Piece string `json:"piece,omitempty"`
	// Act is what becomes of it: unit, row, rows, border, parts, quilt; absent where its drawing stays
	// as it was.
	Act string `json:"act,omitempty"`
	// Turned tells that its wrong side lies up.
	Turned bool     `json:"turned,omitempty"`
	Needs  []string `json:"needs"`
	Cuts   []string `json:"cuts"`
	Row    int      `json:"row,omitempty"`
	// Ref names it, and Seams is how many are sewn for one piece, where they are counted.
	Ref   ref.Ref `json:"-"`
	Seams int     `json:"-"`
	// Bands are the sewn rows it is about.
	Bands []int `json:"bands,omitempty"`
	// Cells of its piece that it is about, by their numbers from 0; absent where it is about
	// all of them, or, Aside, about none.
	Cells   []int  `json:"cells,omitempty"`
	Aside   bool   `json:"aside,omitempty"`
	Press   string `json:"press,omitempty"`
	Side    string `json:"side,omitempty"`
	Machine string `json:"machine,omitempty"`
	Check   string `json:"check,omitempty"`
	// Tips are what makers say with the work in hand, each at the first step it belongs to.
	Tips    []string `json:"tips,omitempty"`
	Caution string   `json:"caution,omitempty"`
	// Cautions are the same one by one.
	Cautions []Caution `json:"cautions,omitempty"`
	// Join is the number of the seam it sews, as in joins, Edging what it makes, piping or
	// binding, and Fitting the one it sews on, by its number in the plan, all from 1; absent
	// at other steps.
	Join    int    `json:"join,omitempty"`
	Edging  string `json:"edging,omitempty"`
	Fitting int    `json:"fitting,omitempty"`
	// Gate names what is measured here, and Reads what the tape reads: size, width, sides,
	// overlap or edge.
	Gate   string `json:"gate,omitempty"`
	Reads  string `json:"reads,omitempty"`
	Expect *Size  `json:"expect,omitempty"`
	Done   bool   `json:"done"`
	// Minutes is how long it takes for one cover at a usual pace, Took how long it took;
	// absent where nobody said.
	Minutes int      `json:"minutes"`
	Took    *float64 `json:"took,omitempty"`
	// Edges are what is worked at or measured, marked on the pieces; Lying are pieces as they lie on the table by
	// themselves. Absent where the drawing of the piece says it.
	Edges []Edge  `json:"edges,omitempty"`
	Lying []Lying `json:"lying,omitempty"`
	// Stack is what lies on what when it is done, from below.
	Stack []work.Sheet `json:"stack,omitempty"`
	// Changes name what is changed at the machine for it: foot, needle, thread, stitch,
	// guide; absent where it stays as it is set up.
	Changes []string `json:"changes,omitempty"`
	// Of is the step it is a part of, by its id; absent where it is not divided.
	Of string `json:"of,omitempty"`
	// Again are the steps, by their ids, that are done already and need it, directly or
	// not: where it is done again they come again too. Absent where it is not done.
	Again []string `json:"again,omitempty"`
	// Rest is how many minutes it cools or dries when it is done, before what comes after
	// it is begun.
	Rest int `json:"rest,omitempty"`
	// Trip is the walk to the iron in which it is pressed, from 1: steps of one trip are
	// pressed together, when the last of them is sewn.
	Trip int `json:"trip,omitempty"`
}
