// Package plan knows the plan document: what a maker decides about a cover,
// what an absent decision means, and which decisions cannot be right. It is the
// one description of the file format umschlag/plan/2; the JSON Schema and the
// types of the user interface are generated from it.
package plan

import (
	"umschlag/core/length"
	"umschlag/core/ref"
)

// Format is the name and version every plan file carries.
const Format = "umschlag/plan/2"

// Largest is the largest size of anything in a plan: what is larger is a slip of the pen.
const Largest = 5 * length.Metre

// Plan is one cover to be made, as decided so far. Sizes are exact lengths;
// width is across and height is up, as the piece stands on the finished cover.
type Plan struct {
	// Format is always umschlag/plan/2.
	Format string `json:"format" jsonschema:"required"`
	// Title is what the maker calls the cover.
	Title string `json:"title" jsonschema:"required"`
	// Units is the unit of bare numbers and of everything shown.
	Units length.Unit `json:"units,omitempty"`
	// Copies is how many are made; it multiplies cloth, not the counts of one cover.
	Copies int `json:"copies,omitempty"`
	// Object is what gets covered, as measured.
	Object Object `json:"object" jsonschema:"required"`
	// Cover is the kind of cover and how it relates to the object.
	Cover Cover `json:"cover" jsonschema:"required"`
	// Pieces says what each piece is made of, by piece name; "*" stands for all.
	Pieces map[string]Piece `json:"pieces,omitempty"`
	// Back is the closure at the back.
	Back Back `json:"back,omitempty"`
	// Edges says what happens along seams and open edges.
	Edges Edges `json:"edges,omitempty"`
	// Fittings are handles, pockets, straps and the like.
	Fittings []Fitting `json:"fittings,omitempty"`
	// Made are units of blocks that are sewn already, of another cover: nothing is cut for them.
	Made []Made `json:"made,omitempty"`
	// Cloths describes the cloths by the letters the pieces use.
	Cloths map[string]Cloth `json:"cloths,omitempty"`
	// Habits are the schools this plan follows.
	Habits Habits `json:"habits,omitempty"`
	// Measured holds what was read off the tape at a gate, oldest first.
	Measured []Measured `json:"measured,omitempty"`
	// Progress is what is already cut and sewn.
	Progress Progress `json:"progress,omitempty"`
	// Schedule is when there is time for it.
	Schedule *Schedule `json:"schedule,omitempty"`
	// Costs is what the maker says of time and money beyond what the cloths say.
	Costs Costs `json:"costs,omitempty"`
	// Lays are lays that were sought and found shorter than the ones made at once, by the
	// letters of their cloths.
	Lays map[string]Sought `json:"lays,omitempty"`
}

// Schedule is when there is time to work on it.
type Schedule struct {
	// From is the first day, such as 2026-12-01, and Due the day it must be ready; the
	// first day is today, and there is none, when absent.
	From string `json:"from,omitempty"`
	Due  string `json:"due,omitempty"`
	// Minutes there are on each day of the week, from Monday to Sunday.
	Minutes []int `json:"minutes,omitempty"`
	// Lost are days on which there is no time after all.
	Lost []string `json:"lost,omitempty"`
	// Wash tells that the cloths are washed first, which takes them a night to dry.
	Wash bool `json:"wash,omitempty"`
}

// Costs is what goes into a cover beside its materials.
type Costs struct {
	// Minutes of work on one cover, 0 where nobody said.
	Minutes int `json:"minutes,omitempty"`
	// Other costs of the whole batch.
	Other float64 `json:"other,omitempty"`
}

// Sought is how a shorter lay was found.
type Sought struct {
	// Way is the lay in numbers, strip by strip from the squared end on, as core/lay writes it.
	Way []int `json:"way" jsonschema:"required"`
}

// Object is the thing to be covered, as measured.
type Object struct {
	Kind ObjectKind `json:"kind" jsonschema:"required"`
	// Shape of a form or something flat: a rectangle, or round with its width as
	// the diameter.
	Shape ObjectShape `json:"shape,omitempty"`
	// Width, across: form, flat, found.
	Width length.Length `json:"width,omitempty"`
	// Height, up: every kind.
	Height length.Length `json:"height,omitempty"`
	// Length, left to right: box.
	Length length.Length `json:"length,omitempty"`
	// Depth, front to back: box.
	Depth length.Length `json:"depth,omitempty"`
	// Wrap is the tape from one fore-edge round the spine to the other, closed: book.
	Wrap length.Length `json:"wrap,omitempty"`
	// Board is the width of one board: book (ring binder).
	Board length.Length `json:"board,omitempty"`
	// Spine is the width of the back: book.
	Spine length.Length `json:"spine,omitempty"`
	// Thickness of a form, or of one board of a book, whose own thickness is its spine.
	Thickness length.Length `json:"thickness,omitempty"`
	// Fill of a form.
	Fill Fill `json:"fill,omitempty"`
	// SticksOut is what knobs, levers and cords add per axis.
	SticksOut Axes `json:"sticks_out,omitempty"`
	// Edge says whether a found panel's size already includes its seam allowance.
	Edge FoundEdge `json:"edge,omitempty"`
	// Make is how a form is made at home; absent where it is bought.
	Make *MakeForm `json:"make,omitempty"`
}

// MakeForm is a form that is sewn and filled at home.
type MakeForm struct {
	// Cloth it is cut from; the first one when absent.
	Cloth string `json:"cloth,omitempty"`
	// Fold cuts it in one piece, without a seam at its lower side.
	Fold bool `json:"fold,omitempty"`
	// Tab stands out along the gap, so that one line of top-stitching closes it; 0 for
	// none.
	Tab length.Length `json:"tab,omitempty"`
	// Gap it is filled through; 5 in or 12 cm when absent.
	Gap length.Length `json:"gap,omitempty"`
}

// Axes holds one length per axis of an object.
type Axes struct {
	Width  length.Length `json:"width"`
	Height length.Length `json:"height"`
	Length length.Length `json:"length"`
	Depth  length.Length `json:"depth"`
	Wrap   length.Length `json:"wrap"`
}

// Sizes are sizes of a cover per axis, each absent where it follows from the object and its ease. With a flange they
// are taken over it.
type Sizes struct {
	Width  Size `json:"width,omitempty"`
	Height Size `json:"height,omitempty"`
	Length Size `json:"length,omitempty"`
	Depth  Size `json:"depth,omitempty"`
	Wrap   Size `json:"wrap,omitempty"`
}

// Size is a size as it finishes, or as it is cut: one of them.
type Size struct{ Finished, Cut length.Length }

// Given reports whether a size is decided.
func (s Size) Given() bool { return s != Size{} }

// Cover is the kind of cover and how it relates to the object.
type Cover struct {
	Kind CoverKind `json:"kind" jsonschema:"required"`
	// Ease is finished cover minus object, per axis; negative makes it plump.
	Ease Axes `json:"ease"`
	// Size of the cover, per axis, where that is decided instead of its ease: then the ease is what that leaves.
	Size Sizes `json:"size,omitempty"`
	// Bulk is the thickness of the stack, when it is to be taken from the inside.
	Bulk length.Length `json:"bulk,omitempty"`
	// Seam is the allowance of the seams that join pieces and close the cover, 1/16 to 2 in.
	Seam length.Length `json:"seam,omitempty"`
	// PiecingSeam is the allowance of the seams within fronts, 1/16 to 2 in. When absent it is that of the habits, or
	// else ¼ in or 7.5 mm; as the seam of the cover where that is the usual one.
	PiecingSeam length.Length `json:"piecing_seam,omitempty"`
	// Corners of the pieces.
	Corners Corners `json:"corners,omitempty"`
	// Bottom edge of a hood.
	Bottom Bottom `json:"bottom,omitempty"`
	// SplitTop puts a seam over the top of a wrapped hood, for one-way prints.
	SplitTop bool `json:"split_top,omitempty"`
	// BandLength is a band already cut, to be checked: banded hood.
	BandLength *length.Length `json:"band_length,omitempty"`
	// Flange stands out flat round a cushion.
	Flange length.Length `json:"flange,omitempty"`
	// Flaps of a jacket.
	Flaps Flaps `json:"flaps,omitempty"`
	// Aside is what was decided of the pieces of hoods of other kinds, by the kind of the cover.
	// It is not read until the cover is of that kind again.
	Aside map[string]map[string]Piece `json:"aside,omitempty"`
	// Wash is the shrinkage planned for, in percent, 0 to 25.
	Wash float64 `json:"wash,omitempty"`
}

// Corners says how a piece's corners are shaped.
type Corners struct {
	Kind CornerKind `json:"kind,omitempty"`
	// Radius of the cut edge: round corners.
	Radius length.Length `json:"radius,omitempty"`
	// Plate is the diameter drawn round, instead of a radius.
	Plate length.Length `json:"plate,omitempty"`
	// Taper is how far tapered corners are drawn in, across and up: up to an
	// eighth of the shorter side; ½ in or 1 cm when absent.
	Taper length.Length `json:"taper,omitempty"`
}

// Bottom is the open edge of a hood.
type Bottom struct {
	Finish BottomFinish `json:"finish,omitempty"`
	// Width turned up: hem.
	Width length.Length `json:"width,omitempty"`
}

// Flaps hold the boards of a book in a jacket.
type Flaps struct {
	Style FlapStyle `json:"style,omitempty"`
	// Depth as finished: one length, or front and back.
	Depth Pair `json:"depth,omitempty"`
	// Hem of a flipped flap, all that is turned in; 1 in or 2 cm when absent.
	Hem length.Length `json:"hem,omitempty"`
}

// Pair is one length for both, or one for front and one for back.
type Pair struct {
	Front, Back length.Length
	// Apart tells that each is decided for itself, though they are alike.
	Apart bool
	// FrontCut and BackCut are given where they are decided as they are cut; what they finish follows.
	FrontCut, BackCut length.Length
}

// Two reports whether there are two lengths to decide.
func (p Pair) Two() bool { return p.Apart || p.Front != p.Back || p.FrontCut != p.BackCut }

// Piece is what one piece of the cover is made of. What is absent here is taken
// from the piece named "*".
type Piece struct {
	Face     *Face     `json:"face,omitempty"`
	Layers   *Layers   `json:"layers,omitempty"`
	Quilting *Quilting `json:"quilting,omitempty"`
	// Squaring is the margin on each side, trimmed after quilting: 0 to 6 in.
	Squaring *length.Length `json:"squaring,omitempty"`
	TakeUp   *TakeUp        `json:"take_up,omitempty"`
	// Absorb says what takes up the squaring margin, the take-up and a seam round it that is not the piecing seam
	// when the top is pieced; absent: the outer border, or larger patches without one.
	Absorb Absorb `json:"absorb,omitempty"`
}

// Layers is the stack under a face.
type Layers struct {
	Batting *Batting `json:"batting,omitempty"`
	// Lining is the letter of the lining cloth; absent: no lining.
	Lining string `json:"lining,omitempty"`
	// Stiffener is the letter of an interfacing ironed to the lining, without seam
	// allowances; absent: none.
	Stiffener string `json:"stiffener,omitempty"`
	// Grid is a fusible grid ironed behind the batting as a guide for quilting from the back.
	Grid bool `json:"grid,omitempty"`
	// Web is fusible web between the top and what lies under it.
	Web bool `json:"web,omitempty"`
	// Overhang is how far batting and lining stand out beyond the top, each side.
	Overhang *length.Length `json:"overhang,omitempty"`
}

// Batting is the padding between face and lining.
type Batting struct {
	// Count of layers, 0 to 4.
	Count int `json:"count"`
	// Loft is the thickness of one layer, 0 to 2 in.
	Loft length.Length `json:"loft,omitempty"`
	// Cloth is the letter under which the batting is described; absent: "batting".
	Cloth string `json:"cloth,omitempty"`
	// Overhang is how far the batting stands out beyond the top, each side; that of the
	// lining when absent.
	Overhang *length.Length `json:"overhang,omitempty"`
	// Offcuts tells that it is butted together from what is left of others.
	Offcuts bool `json:"offcuts,omitempty"`
}

// Quilting is the pattern that holds the layers together.
type Quilting struct {
	Lines []LineFamily `json:"lines,omitempty"`
	// Pair doubles every line at this distance.
	Pair length.Length `json:"pair,omitempty"`
	// Ditch stitches in the seams of the face.
	Ditch bool `json:"ditch,omitempty"`
	// Echo is the distance of rounds that follow the edge inwards; 0 for none.
	Echo length.Length `json:"echo,omitempty"`
	// Free is how far apart the lines of free-motion quilting are on average; 0 for none.
	Free length.Length `json:"free,omitempty"`
	// Corners stitches from corner to corner through every patch or block, both ways.
	Corners bool `json:"corners,omitempty"`
	// Beside is how far from the seams every patch is stitched round, inside them; 0 for none.
	Beside length.Length `json:"beside,omitempty"`
	// Around is how far outside the shapes a round is stitched; 0 for none.
	Around length.Length `json:"around,omitempty"`
	// Borders is how the borders are quilted by themselves; absent, as what lies inside them.
	Borders *BorderQuilting `json:"borders,omitempty"`
	// Aside is what was decided of other patterns, by the name of the pattern. It is not read.
	Aside map[string]Quilting `json:"aside,omitempty"`
}

// BorderQuilting is how borders are quilted by themselves, what lies inside them as the quilting says that it is of.
// The zero one leaves them unquilted.
type BorderQuilting struct {
	// After tells that they are sewn on when what lies inside them is quilted, through all its layers, and turned back.
	After bool `json:"after,omitempty"`
	// Ditch stitches in their seams.
	Ditch bool `json:"ditch,omitempty"`
	// Along is how far apart lines are that follow them round, Across how far apart lines across them, Free those of
	// free-motion quilting on average; 0 for none.
	Along  length.Length `json:"along,omitempty"`
	Across length.Length `json:"across,omitempty"`
	Free   length.Length `json:"free,omitempty"`
}

// Any reports whether anything is quilted in the borders.
func (b *BorderQuilting) Any() bool {
	return b != nil && (b.Ditch || b.Along > 0 || b.Across > 0 || b.Free > 0)
}

// LineFamily is one set of parallel quilting lines.
type LineFamily struct {
	// Pitch from line to line, 1/16 to 24 in.
	Pitch length.Length `json:"pitch"`
	// Angle of the stitched lines to the width, in degrees, anticlockwise.
	Angle float64 `json:"angle,omitempty"`
	// Shift of the line in the middle across its direction, so that a line lies in a seam
	// or between two.
	Shift length.Length `json:"shift,omitempty"`
	// Wave is how far a serpentine line swings out to each side; 0 for straight ones.
	Wave length.Length `json:"wave,omitempty"`
}

// TakeUp says where the figure for quilting take-up comes from.
type TakeUp struct {
	From TakeUpFrom `json:"from,omitempty"`
	// ID of the sample, when from a sample.
	ID string `json:"id,omitempty"`
	// Across in percent of the width, when given: 0 to 25.
	Across float64 `json:"across,omitempty"`
	// Along in percent of the height, when given: 0 to 25.
	Along float64 `json:"along,omitempty"`
}

// Face is what the outside of a piece is made of. Which keys count depends on
// the kind.
type Face struct {
	Kind FaceKind `json:"kind,omitempty"`
	// Cloth of a plain, gathered or found face, and of the triangles that set a grid on
	// point; there the last of the cloths when absent.
	Cloth string `json:"cloth,omitempty"`
	// Centred cuts the panel of a plain face, or every plain patch of a grid, with its
	// middle in the middle of a motif of the print.
	Centred bool `json:"centred,omitempty"`
	// TrianglesCentred cuts the triangles and curved patches of blocks so as well, one by one by their
	// template.
	TrianglesCentred bool `json:"triangles_centred,omitempty"`
	// Pocket turns a plain face into a folded pocket front: folded.
	Pocket PocketFront `json:"pocket,omitempty"`
	// Columns, left to right: grid, checker, windows; 1 to 200.
	Columns int `json:"columns,omitempty"`
	// Rows, top to bottom: grid, checker, windows; 1 to 200.
	Rows int `json:"rows,omitempty"`
	// Patch as finished: grid, checker; of a found face the panel as it shows, its
	// seams not counted.
	Patch Patch `json:"patch,omitempty"`
	// Overhang lets patches of a grid or a checkerboard that are too much for it stand out alike over both edges,
	// where nothing goes round them and nothing is quilted: they are trimmed off when it is squared up.
	Overhang bool `json:"overhang,omitempty"`
	// Set of a grid: straight or on point.
	Set Setting `json:"set,omitempty"`
	// Block by name or by cells; absent: plain patches.
	Block Block `json:"block,omitempty"`
	// Cloths of the patches, by letter.
	Cloths []string `json:"cloths,omitempty"`
	// Order of the cloths: alternate, scrap, or the rows written out.
	Order Order `json:"order,omitempty"`
	// Seed of the scrap order; the same seed gives the same layout.
	Seed int `json:"seed,omitempty"`
	// Keep is patches that stay as they are when the scrap order is mixed again.
	Keep []Kept `json:"keep,omitempty"`
	// Mix is what the scrap order minds beside its neighbours.
	Mix *Mix `json:"mix,omitempty"`
	// Colourways are the same face in other cloths, kept side by side with it.
	Colourways []Colourway `json:"colourways,omitempty"`
	// Sash between the patches.
	Sash *Sash `json:"sash,omitempty"`
	// Borders from inside to outside.
	Borders []Border `json:"borders,omitempty"`
	// Strips of a strip face.
	Strips []Strip `json:"strips,omitempty"`
	// Direction in which strips or gathers run.
	Direction Direction `json:"direction,omitempty"`
	// Parts of a stacked face, from the top.
	Parts []Part `json:"parts,omitempty"`
	// Unit of folded windows, finished, 1 in and more; the one that fits when absent.
	Unit length.Length `json:"unit,omitempty"`
	// Ground cloth of folded windows.
	Ground string `json:"ground,omitempty"`
	// Show cloth in folded windows.
	Show string `json:"show,omitempty"`
	// Buttons on the points of folded windows.
	Buttons bool `json:"buttons,omitempty"`
	// Ratio of a gathered face, before ÷ after.
	Ratio float64 `json:"ratio,omitempty"`
	// Sample that gives the gathering ratio.
	Sample string `json:"sample,omitempty"`
	// Sampled is a sample of the gathers, which gives their ratio.
	Sampled *Sampled `json:"sampled,omitempty"`
	// Panel is how a found panel was made.
	Panel *FoundPanel `json:"panel,omitempty"`
	// Backed is the cloth behind a found panel.
	Backed string `json:"backed,omitempty"`
	// Applique shapes, in stacking order.
	Applique []Shape `json:"applique,omitempty"`
	// Aside is the face as it was decided in other kinds, by kind. It is not read until the face
	// is of that kind again.
	Aside map[string]*Face `json:"aside,omitempty"`
}

// Sampled is a length of the cloth before and after it is gathered, by the same rows of
// stitching.
type Sampled struct {
	Before length.Length `json:"before"`
	After  length.Length `json:"after"`
}

// FoundPanel is how a panel that is there already was made, where that decides how it is
// cut.
type FoundPanel struct {
	// Kind: cloth, counted, worked (hooked or knitted), or printed.
	Kind PanelKind `json:"kind,omitempty"`
	// Across and Up are the squares of a counted design, 1 to 2000, Count how many go to
	// the inch, 3 to 60, and Margin how many more show on each side.
	Across int     `json:"across,omitempty"`
	Up     int     `json:"up,omitempty"`
	Count  float64 `json:"count,omitempty"`
	Margin int     `json:"margin,omitempty"`
	// Width and Height of a printed panel as it is bought; 0 where nobody measured it.
	Width  length.Length `json:"width,omitempty"`
	Height length.Length `json:"height,omitempty"`
	// Left and Top are how far from its edges that lies which has to be in the middle;
	// its own middle when absent.
	Left *length.Length `json:"left,omitempty"`
	Top  *length.Length `json:"top,omitempty"`
}

// Counted is the finished size of a counted panel: its squares and the margin that
// shows, divided by the count. ok is false for others. Common practice.
func (p *FoundPanel) Counted() (width, height length.Length, ok bool) {
	if p == nil || p.Kind != CountedPanel || p.Count <= 0 {
		return 0, 0, false
	}
	size := func(squares int) length.Length {
		return length.FromFloat(float64(squares+2*p.Margin) / p.Count * length.Inch.Float())
	}
	return size(p.Across), size(p.Up), true
}

// Kept is one patch that keeps its cloth.
type Kept struct {
	// Row and Column from 1.
	Row    int    `json:"row"`
	Column int    `json:"column"`
	Cloth  string `json:"cloth"`
}

// Mix is what a scrap order minds beside its neighbours.
type Mix struct {
	// Often is how often each cloth is drawn against the others, by its letter, 1 to 99; all alike when absent.
	Often map[string]int `json:"often,omitempty"`
	// Dark are the letters of the cloths that lie beside the others in turn: dark beside light.
	Dark []string `json:"dark,omitempty"`
}

// Colourway is a face in other cloths, under a name.
type Colourway struct {
	// Key names it among the parts of its piece.
	Key  ref.Key `json:"key,omitempty"`
	Name string  `json:"name"`
	// Face as it would be; it holds no colourways of its own, and its parts have the keys of
	// the parts they stand for.
	Face Face `json:"face"`
}

// Kept is the cloth a patch keeps when the scrap order is mixed, if it does.
func (f Face) Kept(row, column int) (cloth string, ok bool) {
	for _, k := range f.Keep {
		if k.Row == row && k.Column == column {
			return k.Cloth, true
		}
	}
	return "", false
}

// Shape is how many patches or blocks each row of a grid has: on point every other row
// lies between the others and has one less.
func (f Face) Shape() []int {
	if f.Set != OnPoint {
		out := make([]int, f.Rows)
		for i := range out {
			out[i] = f.Columns
		}
		return out
	}
	out := make([]int, 2*f.Rows-1)
	for i := range out {
		out[i] = f.Columns - i%2
	}
	return out
}

// Patch is the finished size of one patch, or fit to have it solved. An absent
// height is the width.
type Patch struct {
	Width  length.Length `json:"width,omitempty"`
	Height length.Length `json:"height,omitempty"`
	Fit    bool          `json:"fit,omitempty"`
	// WidthCut and HeightCut are given instead where a patch is decided as it is cut; what it finishes follows.
	WidthCut  length.Length `json:"-" cut:"width"`
	HeightCut length.Length `json:"-" cut:"height"`
}

// Block is a named block, or one's own cells.
type Block struct {
	Name  string
	Cells any
}

// Set reports whether there is one: patches are plain otherwise.
func (b Block) Set() bool { return b.Name != "" || b.Cells != nil }

// Order of the cloths in a grid. Rows is set when the rows are written out.
type Order struct {
	Kind OrderKind
	Rows [][]string
}

// Sash is a strip between patches.
type Sash struct {
	Width length.Length `json:"width"`
	// WidthCut is given instead where it is decided as it is cut: the sash between two patches.
	WidthCut length.Length `json:"-" cut:"width"`
	Outside  bool          `json:"outside,omitempty"`
	// Posts are squares where sashing meets; without them the long sashing strips run through.
	Posts bool   `json:"posts,omitempty"`
	Cloth string `json:"cloth,omitempty"`
	// PostCloth is the cloth of the posts; the sash's own when absent.
	PostCloth string `json:"post_cloth,omitempty"`
}

// Border goes round what is inside it.
type Border struct {
	// Key names it among the parts of its piece.
	Key   ref.Key `json:"key,omitempty"`
	Width Extent  `json:"width"`
	Cloth string  `json:"cloth,omitempty"`
	// Corner: butted, mitred, or with squares.
	Corner BorderCorner `json:"corner,omitempty"`
	// CornerCloth is the cloth of the corner squares; the border's own when absent.
	CornerCloth string `json:"corner_cloth,omitempty"`
	// Pieced divides the border into patches.
	Pieced *PiecedBorder `json:"pieced,omitempty"`
}

// PiecedBorder is a border of patches.
type PiecedBorder struct {
	// Cloths in turn.
	Cloths []string `json:"cloths,omitempty"`
	// Across and Down are how many patches a border along the top and along a side has,
	// 1 to 200; as many as are nearest to squares when absent.
	Across int `json:"across,omitempty"`
	Down   int `json:"down,omitempty"`
}

// Extent is a finished width, or whatever is left over.
type Extent struct {
	Rest  bool
	Width length.Length
	// Cut is given where it is decided as it is cut; what it finishes follows.
	Cut length.Length
}

// Strip of a strip face, finished.
type Strip struct {
	// Key names it among the parts of its piece.
	Key   ref.Key `json:"key,omitempty"`
	Width Extent  `json:"width"`
	Cloth string  `json:"cloth,omitempty"`
}

// Part of a stacked face.
type Part struct {
	// Key names it among the parts of its piece.
	Key ref.Key `json:"key,omitempty"`
	// Height as finished. The heights make up the height of the face.
	Height Extent `json:"height"`
	// Overhang is how much longer it is than its place, half of it at either end, squared up when the parts are joined.
	Overhang length.Length `json:"overhang,omitempty"`
	Face     Face          `json:"face"`
}

// Shape is one appliquéd shape.
type Shape struct {
	// Key names it among the parts of its piece.
	Key ref.Key `json:"key,omitempty"`
	// Name by which it is spoken of.
	Name string `json:"name,omitempty"`
	// Shape is an SVG path or the name of a form.
	Shape string `json:"shape"`
	Cloth string `json:"cloth,omitempty"`
	// Width before it is turned. A path without one is drawn in millimetres; a form
	// takes a quarter of the face's width.
	Width length.Length `json:"width,omitempty"`
	// Height before it is turned; in proportion when absent.
	Height length.Length `json:"height,omitempty"`
	// At is the place of its outermost points, from the finished edges of the face or
	// those of the shape in From.
	At At `json:"at,omitempty"`
	// From is the key of the shape it is placed from; the face itself when absent.
	From ref.Key `json:"from,omitempty"`
	// Turn in degrees, anticlockwise.
	Turn float64 `json:"turn,omitempty"`
	// Flip mirrors it left to right before it is turned.
	Flip bool `json:"flip,omitempty"`
	// Edge is how its edge is held; satin stitch when absent.
	Edge ShapeEdge `json:"edge,omitempty"`
	// Twin is a second one at the mirrored place: mirrored itself, or the same way round.
	Twin Twin `json:"twin,omitempty"`
	// Late is fused when everything that is not late is sewn.
	Late bool `json:"late,omitempty"`
}

// At places something by distances from named edges, or in the middle.
type At struct {
	Left   *length.Length `json:"left,omitempty"`
	Right  *length.Length `json:"right,omitempty"`
	Top    *length.Length `json:"top,omitempty"`
	Bottom *length.Length `json:"bottom,omitempty"`
	Edge   EdgeName       `json:"edge,omitempty"`
	Middle bool           `json:"middle,omitempty"`
}

// On is the place with a named edge written as no distance from it.
func (a At) On() At {
	var none length.Length
	switch a.Edge {
	case "left":
		a.Left = &none
	case "right":
		a.Right = &none
	case "top":
		a.Top = &none
	case "bottom":
		a.Bottom = &none
	}
	return a
}

// Back is the closure at the back. Which keys count depends on the kind.
type Back struct {
	Kind BackKind `json:"kind,omitempty"`
	// Overlap of an envelope as laid: absent takes a quarter of the cover's width.
	Overlap *length.Length `json:"overlap,omitempty"`
	// Share of the cover's width that it overlaps, in percent, 0 to 100, where no
	// overlap is given.
	Share float64 `json:"share,omitempty"`
	// Hem turned twice, first and second fold; an empty list on a selvedge.
	Hem []length.Length `json:"hem,omitempty"`
	// Panels of an envelope: equal, or the two cut widths.
	Panels Panels `json:"panels,omitempty"`
	// Cloth of the back; absent: the back piece's face.
	Cloth string `json:"cloth,omitempty"`
	// Depth to which a folded back is folded.
	Depth length.Length `json:"depth,omitempty"`
	// DepthCut is given instead where it is decided as it is cut, folded once with its seams.
	DepthCut length.Length `json:"-" cut:"depth"`
	// Lined: folded back with a full lining.
	Lined bool `json:"lined,omitempty"`
	// Band of a lapped, buttoned or tied back, finished; 1 in or 25 mm when absent, wide
	// enough for its buttons, which may take a third of a small cover.
	Band length.Length `json:"band,omitempty"`
	// Tape width of a lapped back; ¾ in or 2 cm when absent.
	Tape length.Length `json:"tape,omitempty"`
	// Count of buttons or of pairs of ties; one each 4½ in when absent.
	Count int `json:"count,omitempty"`
	// Button is the width of a button; ¾ in or 2 cm, or what its band takes, when absent.
	Button length.Length `json:"button,omitempty"`
	// Seam turned under beside a zip; the seam of the cover when absent.
	Seam length.Length `json:"seam,omitempty"`
	// Place of a zip.
	Place ZipPlace `json:"place,omitempty"`
	// Flap over a zip.
	Flap length.Length `json:"flap,omitempty"`
	// Gap left to turn through: sewn shut. Of a boxed cushion also the opening of
	// the zip in its band.
	Gap length.Length `json:"gap,omitempty"`
	// Tab stands out along the gap of a back that is sewn shut, so that one line of
	// top-stitching closes it; 0 for none.
	Tab length.Length `json:"tab,omitempty"`
	// Outer is the piece that lies outside where two overlap: the right one when absent, as the back is seen.
	Outer BackSide `json:"outer,omitempty"`
	// Wait says whether the back is cut after the front is measured: auto waits where the front may come out otherwise
	// than it is cut.
	Wait Wait `json:"wait,omitempty"`
	// Aside is what was decided for other closures, by the closure. It is not read.
	Aside map[string]Back `json:"aside,omitempty"`
}

// Panels of an envelope: equal when no widths are given.
type Panels struct{ Widths []length.Length }

// Edges says what happens along seams and open edges.
type Edges struct {
	Piping  *Piping  `json:"piping,omitempty"`
	Binding *Binding `json:"binding,omitempty"`
	// Inside finish of the seam allowances.
	Inside InsideFinish `json:"inside,omitempty"`
	// Topstitch is the distance from the edge at which a turned cover is stitched round,
	// so that its gap is caught: below its seam; half of it when absent.
	Topstitch length.Length `json:"topstitch,omitempty"`
	// Aside is a piping and a binding that were decided and taken away again. It is not read.
	Aside *Trimmings `json:"aside,omitempty"`
}

// Trimmings are what is sewn along seams and edges.
type Trimmings struct {
	Piping  *Piping  `json:"piping,omitempty"`
	Binding *Binding `json:"binding,omitempty"`
}

// Piping is cord in a strip of cloth, caught in a seam.
type Piping struct {
	// Cord is its diameter, 1/16 to 1 in.
	Cord length.Length `json:"cord"`
	// Grain the strips are cut on; bias when absent.
	Grain Grain `json:"grain,omitempty"`
	// Cloth of the strips; the first one when absent.
	Cloth string `json:"cloth,omitempty"`
	// Joins of straight strips: the fewest, or as many as take least cloth; the fewest when absent.
	Joins Joins `json:"joins,omitempty"`
	// Bought piping needs its length only.
	Bought bool `json:"bought,omitempty"`
}

// Binding covers an open edge.
type Binding struct {
	// Shows is how wide it is on either side of the edge, 1/8 to 2 in.
	Shows length.Length `json:"shows"`
	// Style: folded double, folded to a tape, or bought.
	Style BindingStyle `json:"style,omitempty"`
	// Grain the strips are cut on; straight when absent.
	Grain Grain `json:"grain,omitempty"`
	// Cloth of the strips; the first one when absent.
	Cloth string `json:"cloth,omitempty"`
	// Joins of straight strips: the fewest, or as many as take least cloth; the fewest when absent.
	Joins Joins `json:"joins,omitempty"`
}

// Fitting is something put on a piece. Which keys count depends on the kind.
type Fitting struct {
	// Key names it among the fittings.
	Key    ref.Key       `json:"key,omitempty"`
	Kind   FittingKind   `json:"kind"`
	On     string        `json:"on"`
	Length length.Length `json:"length,omitempty"`
	Width  length.Length `json:"width,omitempty"`
	Height length.Length `json:"height,omitempty"`
	Count  int           `json:"count,omitempty"`
	// Spread is the distance of the two ends of a handle.
	Spread length.Length `json:"spread,omitempty"`
	Cloth  string        `json:"cloth,omitempty"`
	At     At            `json:"at,omitempty"`
	// Style of a pocket: flat with a hem at the top, or folded double.
	Style PocketStyle `json:"style,omitempty"`
	// Slots is how many pens a pocket holds, each in a slot stitched off from its
	// right side, 0 to 12.
	Slots int `json:"slots,omitempty"`
	// Slot is the width of one pen slot; 1 in or 25 mm when absent.
	Slot length.Length `json:"slot,omitempty"`
	// Short is the short one of a pair of straps or belts, which stands at the
	// mirrored place; 0: a strap by itself.
	Short length.Length `json:"short,omitempty"`
	// Tape is the hook-and-loop tape on the short one of a pair; the long one has
	// twice as much, so that it can be set. 3 in or 8 cm when absent.
	Tape length.Length `json:"tape,omitempty"`
	// Layers lie inside it: batting of its finished size, and a lining cut like it.
	Layers *Layers `json:"layers,omitempty"`
}

// Cloth is one cloth of the plan.
type Cloth struct {
	// Name as written on the shelf; the cupboard is searched by it.
	Name string `json:"name,omitempty"`
	// Width from selvedge to selvedge; absent: 42 in.
	Width *length.Length `json:"width,omitempty"`
	// Usable width between the selvedges; absent: 2 in less than the width.
	Usable *length.Length `json:"usable,omitempty"`
	// Kind of cloth: cloth, batting, interlining or web.
	Kind ClothKind `json:"kind,omitempty"`
	// Weight: light, medium, heavy, felt or knit; medium when absent.
	Weight ClothWeight `json:"weight,omitempty"`
	// Backing is a light interfacing that is ironed to its wrong side before it is cut, or none; knits are backed when
	// absent.
	Backing ClothBacking `json:"backing,omitempty"`
	// Print direction.
	Print Print `json:"print,omitempty"`
	// Upright keeps every piece as it stands on the cover: the cloth has a nap or a pile.
	Upright bool `json:"upright,omitempty"`
	// Repeat of the print, from motif to motif.
	Repeat *Repeat `json:"repeat,omitempty"`
	// Match cuts pieces of it that meet so that its print goes on over their seams.
	Match bool `json:"match,omitempty"`
	// Loft is how thick a cloth is that is quilted already, 0 to 2 in; 3 mm when absent.
	Loft length.Length `json:"loft,omitempty"`
	// Stretch is how far it can be pulled across, in percent of its width, 0 to 200.
	Stretch float64 `json:"stretch,omitempty"`
	// Have is the length at hand; absent: what the cupboard says.
	Have *length.Length `json:"have,omitempty"`
	// Odd are pieces at hand beside the length: offcuts, and squares and strips that were
	// bought cut.
	Odd []OddPiece `json:"odd,omitempty"`
	// Kept is how much of the length is kept for plans: in the cupboard.
	Kept []Keeping `json:"kept,omitempty"`
	// Back are the cloths of plans that were cut from it and of which what was left over is back: in the cupboard.
	Back []CutFor `json:"back,omitempty"`
	// Prewashed cloth does not shrink any more.
	Prewashed bool `json:"prewashed,omitempty"`
	// Price of one yard or one metre, as Per says; 0 when nobody said.
	Price float64 `json:"price,omitempty"`
	// Per is what the price is for: yd or m; as the units when absent.
	Per Per `json:"per,omitempty"`
	// Sold is how the shop sells it; by eighths of a yard or by 10 cm when absent.
	Sold *Sold `json:"sold,omitempty"`
	// Shrink is what washing takes from the length before cutting, in percent, 0 to 25.
	Shrink float64 `json:"shrink,omitempty"`
	// Swatch says how the app draws the cloth.
	Swatch Swatch `json:"swatch,omitempty"`
}

// Repeat is how far it is from one motif of a print to the next; 0 in a direction it does not repeat in, as
// stripes along themselves.
type Repeat struct {
	Across length.Length `json:"across"`
	Along  length.Length `json:"along"`
}

// Sold is how a cloth is sold.
type Sold struct {
	// By what it is sold: a length off the bolt, whole bolts, printed panels, quarters.
	By SoldBy `json:"by" jsonschema:"required"`
	// Length of one step, bolt or panel; quarters are of a yard or a metre.
	Length length.Length `json:"length,omitempty"`
}

// OddPiece is pieces of a cloth that lie beside its length.
type OddPiece struct {
	// Width is across the cloth, Length along it.
	Width  length.Length `json:"width"`
	Length length.Length `json:"length"`
	// Count of pieces alike, 1 to 999; 1 when absent.
	Count int `json:"count,omitempty"`
	// For is the plan it is kept for, by its id, and Cloth the letter of its cloth there; absent: nobody's.
	For   string `json:"for,omitempty"`
	Cloth string `json:"cloth,omitempty"`
}

// CutFor is the cloth of a plan, by its letter there, that was cut from one of the cupboard.
type CutFor struct {
	Plan  string `json:"plan"`
	Cloth string `json:"cloth"`
}

// Keeping is a length that is kept for a plan.
type Keeping struct {
	// For is the plan, by its id, and Cloth the letter of its cloth there: whatever that is called. Any of the plan
	// when absent.
	For    string        `json:"for"`
	Cloth  string        `json:"cloth,omitempty"`
	Length length.Length `json:"length"`
}

// Swatch says how a cloth is drawn.
type Swatch struct {
	Motif Motif `json:"motif,omitempty"`
	// Ground colour, #rrggbb.
	Ground string `json:"ground,omitempty"`
	// Ink colour of the motif, #rrggbb.
	Ink string `json:"ink,omitempty"`
	// Photo is the number of a picture of the workshop it is drawn with instead; where that
	// is not there, the rest says how.
	Photo int `json:"photo,omitempty"`
}

// Measured is what was read off the tape at a gate.
type Measured struct {
	// Gate at which it was measured, by its ref.
	Gate   string        `json:"gate" jsonschema:"required"`
	Width  length.Length `json:"width,omitempty"`
	Height length.Length `json:"height,omitempty"`
	// Weight in grams, of the fibre that fills a pad: 0 to 20 000.
	Weight float64 `json:"weight,omitempty"`
	// Sides and Diagonals of a panel before it is trimmed.
	Sides     *Sides     `json:"sides,omitempty"`
	Diagonals *Diagonals `json:"diagonals,omitempty"`
	// Sure tells that a measurement far from the plan was looked at twice, and is so.
	Sure bool `json:"sure,omitempty"`
	// Across and Up are the remedies chosen for a difference in each direction.
	Across Remedy `json:"across,omitempty"`
	Up     Remedy `json:"up,omitempty"`
}

// Sides are the four sides of a panel, edge to edge.
type Sides struct {
	Top    length.Length `json:"top,omitempty"`
	Right  length.Length `json:"right,omitempty"`
	Bottom length.Length `json:"bottom,omitempty"`
	Left   length.Length `json:"left,omitempty"`
}

// Diagonals are the two diagonals of a panel: falling from its top left corner, rising
// to its top right one.
type Diagonals struct {
	Falling length.Length `json:"falling,omitempty"`
	Rising  length.Length `json:"rising,omitempty"`
}

// Progress is what is already done.
type Progress struct {
	// Cut is what is ticked off the cutting list, by its ref, as it was cut: it stays so
	// whatever is measured or changed later.
	Cut map[string]AsCut `json:"cut,omitempty"`
	// Spoiled is how many of a cut went wrong and are cut once more, by its ref: 1 to 99.
	Spoiled map[string]int `json:"spoiled,omitempty"`
	// Done lists the steps ticked off, by their refs.
	Done []string `json:"done,omitempty"`
	// Returned lists the cloths, by their letters, of which what was left over is back in
	// the cupboard.
	Returned []string `json:"returned,omitempty"`
	// Over are units that came out beyond the need, and are put into the cupboard.
	Over []Made `json:"over,omitempty"`
	// Times are the minutes that steps took, by their refs.
	Times map[string]float64 `json:"times,omitempty"`
	// Running is the step whose time is being taken; absent where none is.
	Running *Running `json:"running,omitempty"`
	// Skipped are steps that are left out, by their refs, each with the reason.
	Skipped map[string]string `json:"skipped,omitempty"`
	// Early are steps that were done before what they need, by their refs, each with the
	// reason.
	Early map[string]string `json:"early,omitempty"`
	// Parts are what steps are divided into, by their refs: 2 to 12 of each. The last part
	// goes by the ref of the step.
	Parts map[string][]StepPart `json:"parts,omitempty"`
	// Made is through how many of several covers a step is, by its ref.
	Made map[string]int `json:"made,omitempty"`
	// Each tells that several covers are sewn one after the other; otherwise each step is
	// done for all of them before the next.
	Each bool `json:"each,omitempty"`
	// Troubles are what went wrong, the oldest first.
	Troubles []Mishap `json:"troubles,omitempty"`
	// Inspected lists what was looked at and found in order when it was done.
	Inspected []string `json:"inspected,omitempty"`
	// Unread are names of an older plan that nothing in it answers to. They are kept, and
	// mark nothing as done.
	Unread []string `json:"unread,omitempty"`
}

// AsCut is what was cut: its size, and how many for all covers together; 0 where nobody
// wrote it down, and then it is as the plan says.
type AsCut struct {
	Width  length.Length `json:"width,omitempty"`
	Height length.Length `json:"height,omitempty"`
	Count  int           `json:"count,omitempty"`
}

// StepPart is one part of a divided step.
type StepPart struct {
	// Key names it among the parts of its step.
	Key  ref.Key `json:"key,omitempty"`
	Name string  `json:"name"`
}

// Running is a step whose time is being taken.
type Running struct {
	// Step by its ref, Since a moment such as 2026-03-01T19:30:00Z.
	Step  string `json:"step" jsonschema:"required"`
	Since string `json:"since" jsonschema:"required"`
}

// Mishap is something that went wrong at a step.
type Mishap struct {
	Step string `json:"step" jsonschema:"required"`
	// Kind is one of those the app knows a remedy for, or other.
	Kind string `json:"kind" jsonschema:"required"`
	Note string `json:"note,omitempty"`
}
