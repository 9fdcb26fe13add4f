// Package front knows what a piece's face is made of: from a decided face and
// the size it has to fill, the patches, sashes and borders with their cuts, where each
// lies, and the seams between them.
//
// A kind of face is one function in Kinds.
package front

import (
	"cmp"
	"fmt"
	"slices"

	"umschlag/core/applique"
	"umschlag/core/block"
	"umschlag/core/finding"
	"umschlag/core/kind"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// Role is what a part does in a face.
type Role string

// The roles of parts.
const (
	Panel Role = "panel"
	Patch Role = "patch"
	// BlockPatch is cut for a patch within a block.
	BlockPatch Role = "block-patch"
	// Setting triangles fill the rim of a grid on point.
	Setting Role = "setting"
	// ShortSash lies between two patches of a row, LongSash between two rows; a Post
	// is where sashing meets.
	ShortSash Role = "short-sash"
	LongSash  Role = "long-sash"
	Post      Role = "post"
	Strip     Role = "strip"
	// SetStrip is sewn into a strip set, which is cut across into segments.
	SetStrip    Role = "set-strip"
	BorderEnd   Role = "border-side" // sewn on first, left and right
	BorderRun   Role = "border-run"  // sewn on second, across everything
	BorderPatch Role = "border-patch"
	Corner      Role = "border-corner"
	// Gathered is drawn in before it is trimmed; a PocketPart lies on the panel.
	Gathered   Role = "gathered"
	PocketPart Role = "pocket"
	// Backing is firm cloth under a found panel.
	Backing Role = "backing"
	// Ground is folded, a Window lies over a join of two.
	Ground Role = "ground"
	Window Role = "window"
)

// Part is one shape to be cut, with how many alike.
type Part struct {
	// Ref names it among the parts of its piece; those of one ref are one part.
	Ref ref.Ref
	// In is the part of a stack that it belongs to; empty where there is no stack.
	In ref.Key
	// Paints is where in its face its cloth is decided, as a JSON pointer: the letter itself,
	// or the list of letters it is one of.
	Paints string
	// Name within the face, unique: panel, patch.A, border.1.side.
	Name  string
	Title string
	Role  Role
	Cloth string
	Size  sum.Size
	Count int
	// Ring is the number of the border, from 1 inside; 0 for others. Corner is how its sides meet.
	Ring   int
	Corner plan.BorderCorner
	// Shape it is cut to where it is not told by its size: half-square, quarter-square,
	// strip, template.
	Shape string
	// Gives is how many patches one piece gives, Patches how many are needed, and
	// Finished what one finishes as; for patches of blocks.
	Gives, Patches int
	Finished       string
	// Had marks a panel that is there already.
	Had bool
	// Joined is how many strips each is joined from, where it is longer than its cloth is
	// wide.
	Joined int
	// Line is the outline of a template with its seams, from its own top left corner.
	Line outline.Outline
}

// Crossed is how many seams within its grids a line through the face crosses, level or
// upright.
func (f Face) Crossed(level bool) int {
	w, h := f.Finished.Width.Total().Float(), f.Finished.Height.Total().Float()
	// A line beside the middle, which runs along no seam of its own direction.
	at, across := h*0.4871, func(s Seam) (a, b float64) { return s.Y1, s.Y2 }
	if !level {
		at, across = w*0.4871, func(s Seam) (a, b float64) { return s.X1, s.X2 }
	}
	n := 0
	for _, s := range f.Seams {
		if a, b := across(s); s.Kind != Round && min(a, b) < at && at < max(a, b) {
			n++
		}
	}
	return n
}

// Long reports whether a part is a strip that may be joined from shorter ones.
func (p Part) Long() bool {
	switch p.Role {
	case BorderEnd, BorderRun, LongSash, Strip:
		return true
	}
	return false
}

// Cell is one part where it lies on the face, from the finished top left
// corner, right and down. Outermost cells reach out to the cut edge.
type Cell struct {
	Part          int
	X, Y          length.Length
	Width, Height length.Length
	// Row and Column of a patch or block, from 1; 0 for others. On point every other
	// row has one block less.
	Row, Column int
	// Band is the number of the row it is sewn in, from 1; 0 where it is sewn in none.
	Band int
	// Over tells that it lies on cells before it, not beside them.
	Over bool
	// Line is its outline where it is no rectangle, in the same frame.
	Line outline.Outline
}

// Band is a row as it is sewn: of patches, of sashes and posts, or diagonal.
type Band struct {
	// Number from 1, as in Cell.Band.
	Number int
	// Of is what it is a row of: patches, blocks, sashes, strips.
	Of string
	// Pieces that are joined in it.
	Pieces int
	// Length as sewn, raw edge to raw edge; 0 where its ends are trimmed later.
	Length length.Length
	// Group is the number of the grid within a stack that it belongs to, from 1; In is the
	// part of the stack, and No its number among the rows of its own face, from 1.
	Group int
	In    ref.Key
	No    int
	// Sashes are in it between the patches; Posts marks a row of sashes and posts.
	Sashes, Posts bool
}

// SeamKind is when a seam is sewn.
type SeamKind string

// The kinds of seams, in the order in which they are sewn.
const (
	InBlock SeamKind = "block"
	InBand  SeamKind = "row"
	Between SeamKind = "between"
	Pieced  SeamKind = "border-patch"
	Round   SeamKind = "border"
	Stacked SeamKind = "stack"
)

// Group is seams that are pressed alike, since they are sewn and pressed together.
type Group struct {
	// In is the part of a stack, Kind when they are sewn.
	In   ref.Key
	Kind SeamKind
	// Turn tells every second block from the others; Of is the division of the block, or the
	// side of the border.
	Turn int
	Of   string
	// No is the number of the row, of the border or of the part of a stack, from 1.
	No int
}

// Seam is one seam of the face, drawn on its finished frame.
type Seam struct {
	Kind SeamKind
	// Band it lies in, or that lies above it.
	Band           int
	Group          Group
	X1, Y1, X2, Y2 float64
	// Sewn is its length as sewn.
	Sewn length.Length
	// Cells to its left and right, seen along it from its first point; -1 where there
	// are several.
	Left, Right int
}

// Face is a face reckoned.
type Face struct {
	Parts []Part
	Cells []Cell
	// Finished size as its parts lie side by side.
	Finished sum.Size
	// Sewn is the top with its raw edges, as its cuts come out.
	Sewn sum.Size
	// Columns and Rows of patches; 0 on a plain face.
	Columns, Rows int
	// Rings of borders, and Border what they finish together on each side, across and up.
	Rings  int
	Border [2]length.Length
	// Quilted is what is inside the borders when it is quilted, raw edge to raw edge, where they are sewn on after.
	Quilted sum.Size
	// Corners are its patches or blocks as they finish, each by its corners in turn.
	Corners [][4]outline.Vertex
	// Grids are the patches or blocks of each grid of the face, in order.
	Grids []Grid
	Bands []Band
	Seams []Seam
	// Units are sewn before the rows, and Kinds tell those of them that are known wherever they come from.
	Units []Unit
	Kinds []UnitKind
	// Sets of strips that are cut across.
	Sets []Set
	// Gather is what a gathered face takes; nil for others.
	Gather *Gather
	// Windows is what folded windows take; nil for others.
	Windows *Windows
	// Found are its panels that are there already.
	Found []Found
	// Applied are shapes laid on it, the lowest first.
	Applied []applique.Placed
	// Worked are the parts of a stack that are gathered or folded, Standing those that are longer than their place.
	Worked   []Worked
	Standing []Standing
}

// Standing is a part of a stack that is longer than its place, as it is called, and by how much.
type Standing struct {
	Name string
	By   length.Length
}

// Worked is a part of a stack with steps of its own.
type Worked struct {
	// In is the part.
	In   ref.Key
	Face Face
}

// Grid is what its steps have to know of a grid of patches.
type Grid struct {
	// In is the part of a stack that it fills.
	In            ref.Key
	Columns, Rows int
	// Patch is a patch or a block as it is sewn into its row, with seams.
	Patch sum.Size
	// Sewn is the grid without borders, raw edge to raw edge.
	Sewn sum.Size
	// Over is what patches that are too much stand out across and down, on both sides together, and Squared what is
	// left when that is trimmed off.
	Over    [2]length.Length
	Squared sum.Size
	// Blocks reports blocks in place of plain patches, Point a grid on point.
	Blocks, Point bool
	// Patches is how many pieces of cloth all its blocks or patches have.
	Patches int
	// Sash reports sashes, Posts posts where they meet.
	Sash, Posts bool
	// Laid are the cloths of its patches, rows from the top.
	Laid [][]string
	// Node is its block; a letter for plain patches.
	Node block.Node
}

// Held says which edges of a face are sewn to another face of a stack: they neither grow
// nor reach out.
type Held struct{ Left, Right, Top, Bottom bool }

// Order is what a face is reckoned from.
type Order struct {
	Face plan.Face
	// Path of the face in the plan.
	Path string
	// Finished size to be filled.
	Finished sum.Size
	// Trimmed size of the panel, and Top, the size it has to be sewn to.
	Trimmed, Top sum.Size
	// Seam allowance within the face, and how much wider than that the one round it is.
	Seam, Rim length.Length
	// alike are patches that cannot be cut otherwise at the rim than within.
	alike bool
	// Left and Above are what the piece has beyond its finished line at its left
	// and top edge.
	Left, Above length.Length
	// TakeAcross and TakeUp are the shares quilting takes.
	TakeAcross, TakeUp float64
	Margin             length.Length
	Absorb             plan.Absorb
	Step               length.Length
	Style              length.Style
	// Held edges.
	Held Held
	// AsCut tells that the height of a part of a stack is given as it is cut.
	AsCut bool
	// In is the part of a stack that the face is made for; empty where it is the whole face.
	In ref.Key
	// After tells that borders are sewn on when what is inside them is quilted.
	After bool
	// Centre is what is inside the borders as it was measured, raw edge to raw edge; 0 in
	// a direction that was not.
	Centre plan.Sized
	// Usable is how wide a cloth is between its selvedges, by its letter.
	Usable func(cloth string) length.Length
	// Motifs are the cloths whose patches are cut round a motif each, triangles and curved ones among
	// them: those one by one, by their template.
	Motifs map[string]bool
	// Triangles is the school by which triangles within blocks are cut, Strips that of
	// patches side by side.
	Triangles plan.Triangles
	Strips    plan.StripSets
	// Made are units that are there already, for all copies of the cover, and Copies how many those are.
	Made   []Made
	Copies int
}

// grow is what each side of the top has beyond the trimmed panel; it is shared by the
// sides that are not held.
func grow(top, trimmed sum.Sum, lowHeld, highHeld bool) (low, high length.Length) {
	more := top.Total() - trimmed.Total()
	switch {
	case lowHeld && highHeld:
		return 0, 0
	case lowHeld:
		return 0, more
	case highHeld:
		return more, 0
	}
	return more / 2, more / 2
}

// Kinds make the kinds of faces, by their words in the plan.
var Kinds kind.Set[func(Order) (Face, finding.List)]

func init() {
	Kinds.Add("plain", plain)
	Kinds.Add("grid", grid)
	Kinds.Add("strips", strips)
	Kinds.Add("checker", checker)
	Kinds.Add("stack", stack)
	Kinds.Add("found", found)
	Kinds.Add("gathered", gathered)
	Kinds.Add("windows", windows)
}

// Alike reports a face whose patches cannot be cut otherwise at the rim than within: strips that are cut across, and
// blocks.
func Alike(f plan.Face) bool {
	return f.Kind == plan.CheckerFace || f.Block.Name != "" || f.Block.Cells != nil
}

// Build reckons a face. A face that cannot fill its size gives no parts and
// says why, and what would fit.
func Build(o Order) (Face, finding.List) {
	o.alike = Alike(o.Face)
	build, ok := Kinds.Of(string(o.Face.Kind))
	if !ok {
		var found finding.List
		found.Add(finding.Stop, "face-kind", o.Path+"/kind",
			fmt.Sprintf("A %s design is read and kept, but this version does not work it out.", o.Face.Kind),
			"Choose one piece, a grid, strips, a checkerboard, sections or gathers.")
		return Face{}, found
	}
	said := unreckoned(o)
	if said.Stopped() {
		return Face{}, said
	}
	f, more := build(o)
	if said = append(said, more...); said.Stopped() {
		return Face{}, said
	}
	f.named(o.In)
	if said = append(said, f.apply(o)...); said.Stopped() {
		return Face{}, said
	}
	return f, said
}

// apply places the shapes that are laid on a face, over those of its parts.
func (f *Face) apply(o Order) finding.List {
	placed, found := applique.Place(AppliqueOf(o.Face, o.Path, f.Finished, o.Step))
	for i := range placed {
		placed[i].Key = placed[i].Shape.Key
	}
	f.Applied = append(f.Applied, placed...)
	return found
}

// AppliqueOf is what the shapes of a face are placed on.
func AppliqueOf(face plan.Face, path string, finished sum.Size, step length.Length) applique.Order {
	return applique.Order{Shapes: face.Applique, About: path + "/applique", Width: finished.Width.Total(),
		Height: finished.Height.Total(), Step: step}
}

// unreckoned names what a face carries that would change its cuts and is not
// computed for its kind.
func unreckoned(o Order) finding.List {
	var found finding.List
	stop := func(key, what, remedy string) {
		found.Add(finding.Stop, "face-part", o.Path+"/"+key,
			what+" is read and kept, but its cuts are not worked out here.", remedy)
	}
	f := o.Face
	if len(f.Applique) > 0 && !f.Kind.TakesShapes() {
		found.Add(finding.Stop, "face-part", o.Path+"/applique",
			fmt.Sprintf("Shapes cannot be laid flat on a %s design.", f.Kind),
			"Remove them, or choose a design that lies flat.")
	}
	if f.Pocket != "" && f.Kind != plan.PlainFace {
		stop("pocket", fmt.Sprintf("A pocket on a %s design", f.Kind), "A folded pocket lies on one piece of fabric.")
	}
	framed := f.Kind == plan.GridFace || f.Kind == plan.CheckerFace || f.Kind == plan.FoundFace
	if len(f.Borders) > 0 && !framed {
		stop("borders", fmt.Sprintf("A border round a %s design", f.Kind),
			"Borders go round a grid, a checkerboard or a found panel.")
	}
	if f.Kind == plan.GridFace {
		return found
	}
	if f.Block.Name != "" || f.Block.Cells != nil {
		stop("block", fmt.Sprintf("A block in a %s design", f.Kind), "Blocks stand in a grid.")
	}
	if f.Sash != nil {
		stop("sash", fmt.Sprintf("Sashing in a %s design", f.Kind), "Sashing lies in a grid.")
	}
	if f.Set == plan.OnPoint {
		stop("set", fmt.Sprintf("A %s design on point", f.Kind), "Only a grid is set on point.")
	}
	return found
}

// plain is one panel, cut as large as quilting and trimming need.
func plain(o Order) (Face, finding.List) {
	left, right := grow(o.Top.Width, o.Trimmed.Width, o.Held.Left, o.Held.Right)
	above, below := grow(o.Top.Height, o.Trimmed.Height, o.Held.Top, o.Held.Bottom)
	out := func(held bool, edge, more length.Length) length.Length {
		if held {
			return 0
		}
		return edge + more
	}
	// What the far edges have beyond the finished line is the rest of the trimmed size.
	far := func(trimmed, finished sum.Sum, near length.Length) length.Length {
		return trimmed.Total() - finished.Total() - near
	}
	x, y := out(o.Held.Left, o.Left, left), out(o.Held.Top, o.Above, above)
	w := o.Finished.Width.Total() + x + out(o.Held.Right, far(o.Trimmed.Width, o.Finished.Width, o.Left), right)
	h := o.Finished.Height.Total() + y + out(o.Held.Bottom, far(o.Trimmed.Height, o.Finished.Height, o.Above), below)
	size := o.Top.UpTo(o.Step)
	if o.AsCut {
		size.Height = o.Top.Height
	}
	f := Face{
		Parts: []Part{{Ref: o.ref(ref.Panel), Paints: "/cloth", Name: "panel", Title: "Panel", Role: Panel,
			Cloth: o.Face.Cloth, Size: size, Count: 1}},
		Cells:    []Cell{{X: -x, Y: -y, Width: w, Height: h}},
		Finished: o.Finished,
		Sewn:     size,
	}
	if o.Face.Pocket != "" {
		f = pocketed(o, f)
	}
	return f, nil
}

// ref names a part of the face by its role alone.
func (o Order) ref(role ref.Role) ref.Ref { return ref.Ref{Kind: ref.Cut, Of: o.In, Role: role} }

// ofCloth names a part that there is of each cloth.
func (o Order) ofCloth(role ref.Role, cloth string) ref.Ref {
	out := o.ref(role)
	out.Cloth = cloth
	return out
}

// named says of rows, units and strip sets which part of a stack they are of, and
// numbers them within it; those of the parts of a stack are named already.
func (f *Face) named(in ref.Key) {
	for i := range f.Bands {
		if f.Bands[i].No == 0 {
			f.Bands[i].In, f.Bands[i].No = in, i+1
		}
	}
	for i := range f.Units {
		if f.Units[i].No == 0 {
			f.Units[i].In, f.Units[i].No = in, i+1
		}
	}
	for i := range f.Sets {
		if f.Sets[i].No == 0 {
			f.Sets[i].In, f.Sets[i].No = in, i+1
		}
	}
	for i := range f.Grids {
		f.Grids[i].In = cmp.Or(f.Grids[i].In, in)
	}
	for i := range f.Found {
		f.Found[i].In = cmp.Or(f.Found[i].In, in)
	}
}

// part is the index of a part like p, which is added where there is none yet. Parts
// are alike when their refs are; count is what it is needed for once more.
func (f *Face) part(p Part, count int) int {
	i := slices.IndexFunc(f.Parts, func(q Part) bool { return q.Ref == p.Ref })
	if i < 0 {
		i = len(f.Parts)
		f.Parts = append(f.Parts, p)
	}
	f.Parts[i].Count += count
	return i
}

// cell adds a cell and returns its number.
func (f *Face) cell(c Cell) int {
	f.Cells = append(f.Cells, c)
	return len(f.Cells) - 1
}

// seam adds a seam.
func (f *Face) seam(s Seam) { f.Seams = append(f.Seams, s) }
