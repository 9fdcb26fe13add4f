package front

import (
	"errors"
	"fmt"
	"slices"

	"umschlag/core/block"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// Unit is something that is sewn before the rows of a face.
type Unit struct {
	// In is the part of a stack it is of, No its number there, from 1.
	In ref.Key
	No int
	// Cloths of its patches, each once; empty for the one that every block has of its own.
	Cloths []string
	// Sign of the division, for its name.
	Sign block.Sign
	// Count is how many one face has. Faces is how many such faces all copies have together, and Have how many units of
	// those are there already.
	Count, Faces, Have int
	// Spare is how many more come of what is cut for all copies. Single is how many of those that are sewn two at a
	// time are sewn by themselves: a square of each of their cloths is cut in two, and other units take the other
	// halves.
	Spare, Single int
	// Size as sewn, raw edge to raw edge.
	Width, Height length.Length
	// Block marks the whole block, Triangles a unit of single triangles, and Set one that
	// is cut across strips.
	Block, Triangles, Set bool
}

// Pairs reports whether units are sewn two at a time, or eight, from whole squares laid on each other.
func (u Unit) Pairs(by plan.Triangles) bool {
	return by.Large() && u.Triangles && (u.Sign == block.Rising || u.Sign == block.Falling) && u.square()
}

func (u Unit) square() bool { return (u.Width - u.Height).Abs() < 1000 }

// Named is what so many of them are called.
func (u Unit) Named(n int) string { return u.Sign.Named(n, u.square()) }

// blockOf is the block of a face, by its name or as it is written.
func (o Order) blockOf() (block.Node, finding.List) {
	var found finding.List
	text, ok := o.Face.Block.Cells.(string)
	if o.Face.Block.Name != "" {
		named, known := block.ByName(o.Face.Block.Name)
		if !known {
			found.Add(finding.Stop, "block-unknown", o.Path+"/block",
				fmt.Sprintf("No block goes by the name %q here.", o.Face.Block.Name),
				`Choose one of the list, or write its cells: {"cells": "A / B"}.`)
			return block.Node{}, found
		}
		text, ok = named.Text, true
	}
	if !ok {
		found.Add(finding.Stop, "block-cells", o.Path+"/block", "The cells of a block are a text.",
			`Write them like {"cells": "(A / B) | (B \ A)"}.`)
		return block.Node{}, found
	}
	n, err := block.Parse(text)
	var syntax *block.SyntaxError
	if errors.As(err, &syntax) {
		found.Add(finding.Stop, "block-cells", o.Path+"/block/cells",
			fmt.Sprintf("The block cannot be read: %s.", syntax),
			`A letter is a patch; divide with | - / \ x ^ o and put brackets round each division.`)
	}
	return n, found
}

// group is patches that are cut alike.
type group struct {
	role        Role
	named       ref.Ref
	paints      string
	name, title string
	cloth       string
	recipe      block.Recipe
	line        outline.Outline
	part        int
	count       int // in the whole face
	// paired are sewn to a triangle alike, into a square.
	paired bool
	// set is what strips its patches are cut across, by its key.
	set    *block.StripSet
	setKey string
	width  length.Length
}

// begin divides the block as it is sewn and as it is drawn.
func (g *gridder) begin(sewnW, sewnH, w, h length.Length) finding.List {
	var found finding.List
	g.groups, g.inBlock, g.named = map[string]*group{}, map[string][]*group{}, map[string]bool{}
	if !g.blocks {
		return nil
	}
	g.sewnW, g.sewnH = sewnW, sewnH
	var err error
	if g.divided, err = g.node.Divide(sewnW, sewnH); err == nil {
		g.drawn, err = g.node.Divide(w, h)
	}
	var division *block.DivisionError
	if errors.As(err, &division) {
		found.Add(finding.Stop, "block-cells", g.Path+"/block/cells",
			fmt.Sprintf("The block cannot be divided so: %s.", division),
			"Divide triangles with : and rectangles with the other signs.")
		return found
	}
	if n := len(g.divided) * g.count(); n > mostPatches {
		found.Add(finding.Stop, "too-many-patches", g.Path+"/block",
			fmt.Sprintf("Blocks of %d patches make %d in all.", len(g.divided), n),
			fmt.Sprintf("Plan up to %d patches: fewer blocks, or a simpler one.", mostPatches))
		return found
	}
	g.inner = g.node.Seams(w, h)
	g.innerSewn = g.node.Seams(sewnW, sewnH)
	g.Cells = slices.Grow(g.Cells, len(g.divided)*g.count())
	g.Seams = slices.Grow(g.Seams, (len(g.inner)+2)*g.count())
	return nil
}

// mostPatches is more than anyone lays out at once; it keeps a slip of the pen from
// becoming an hour's computation.
const mostPatches = 20_000

// count is how many patches or blocks the grid has.
func (g *gridder) count() int {
	n := 0
	for _, row := range g.cloths {
		n += len(row)
	}
	return n
}

// put lays a patch or a block in its place. Letters of a block stand for the cloths of
// the face in their order; where rows are written out or mixed, they say what A stands
// for in each block.
func (g *gridder) put(p place) {
	cloth := g.cloths[p.row-1][p.column-1]
	g.Corners = append(g.Corners, p.corners)
	if !g.blocks {
		named := g.ofCloth(ref.Patch, cloth)
		named.Edge = p.edge
		name := "patch." + cloth
		if p.edge != "" {
			name += "." + p.edge
		}
		part := g.part(Part{Ref: named, Paints: "/order", Name: name,
			Title: rimTitles[p.edge], Role: Patch, Cloth: cloth, Size: p.cut}, 1)
		c := Cell{Part: part, X: p.x, Y: p.y, Width: p.width, Height: p.height, Row: p.row, Column: p.column,
			Band: p.band}
		if g.across.point {
			w := (g.grid.Patch.Width.Total() - 2*g.Seam).Float()
			c = polygon(c, p.at, outline.Outline{{X: 0, Y: 0}, {X: w, Y: 0}, {X: w, Y: w}, {X: 0, Y: w}})
		}
		g.cell(c)
		g.grid.Patches++
		return
	}
	for i, grp := range inBlock(g, cloth) {
		grp.count++
		g.cell(polygon(Cell{Part: grp.part, Row: p.row, Column: p.column, Band: p.band}, p.at, g.drawn[i].Line))
		g.grid.Patches++
	}
	for i, s := range g.inner {
		from, to := p.at(outline.Vertex{X: s.X1, Y: s.Y1}), p.at(outline.Vertex{X: s.X2, Y: s.Y2})
		g.Face.seam(Seam{Kind: InBlock, Band: p.band, Group: Group{In: g.In, Kind: InBlock, Turn: g.turn(p), Of: s.Of},
			X1: from.X, Y1: from.Y, X2: to.X, Y2: to.Y,
			Sewn: length.FromFloat(g.innerSewn[i].Length()) + 2*g.Seam, Left: -1, Right: -1})
	}
}

// turn tells every second place from the others, so that no two side by side are alike.
func (g *gridder) turn(p place) int {
	if g.across.point {
		return p.row % 2
	}
	return (p.row + p.column) % 2
}

// polygon is a cell with an outline brought to its place.
func polygon(c Cell, at func(outline.Vertex) outline.Vertex, line outline.Outline) Cell {
	c.Line = make(outline.Outline, len(line))
	for i, v := range line {
		c.Line[i] = at(v)
	}
	x1, y1, x2, y2 := c.Line.Bounds()
	c.X, c.Y, c.Width, c.Height = length.FromFloat(x1), length.FromFloat(y1), length.FromFloat(x2-x1),
		length.FromFloat(y2-y1)
	return c
}

// finish counts what each group is cut from and names the units.
func (g *gridder) finish() finding.List {
	there := there(g)
	for _, grp := range g.order {
		p := &g.Parts[grp.part]
		p.Patches = grp.count
		p.Count = (grp.count + p.Gives - 1) / p.Gives
		if grp.set != nil {
			strippedUnits(g, grp)
		}
		if grp.paired && g.Triangles == plan.ManyTriangles && grp.count-there[grp] >= block.Eight {
			addEights(g, grp, grp.count-there[grp])
		}
	}
	if !g.blocks {
		return nil
	}
	addUnits(g)
	return judgeRuler(g)
}

// addEights moves as many of the triangles that are cut as go into squares for eight to a part of their own.
func addEights(g *gridder, grp *group, cut int) {
	rest := grp.count - cut/block.Eight*block.Eight
	p := &g.Parts[grp.part]
	big := *p
	big.Name += ".eight"
	big.Ref.Role = ref.BlockEights
	big.Title = "For eight half-squares each"
	big.Size = block.EightFrom(grp.recipe, g.Seam).UpTo(g.Step)
	big.Gives = block.Eight
	big.Patches, big.Count = grp.count-rest, cut/block.Eight
	if rest == 0 {
		*p = big
		return
	}
	p.Patches, p.Count = rest, (rest+p.Gives-1)/p.Gives
	at := g.part(big, 0)
	moved := 0
	for i := range g.Cells {
		if g.Cells[i].Part == grp.part && moved < big.Patches {
			g.Cells[i].Part = at
			moved++
		}
	}
}

// clothOf is what a letter stands for: A for the first cloth of the face, B for the
// second, and round again. Where rows are written out or mixed, A is the block's own.
func (o Order) clothOf(letter, own string) string {
	i := int(letter[0] - 'A')
	if i == 0 && (o.Face.Order.Kind == plan.Rows || o.Face.Order.Kind.Mixed()) {
		return own
	}
	cloths := o.Face.Cloths
	if len(cloths) == 0 {
		cloths = []string{o.Face.Cloth}
	}
	return cloths[i%len(cloths)]
}

// patch is one of a face, as it is told from others: Set tells those apart that are cut across strip sets, and mate is
// the cloth of the triangle it is sewn to before both are cut apart.
type patch struct {
	role             Role
	is               ref.Role
	name, set, title string
	line             outline.Outline
	cloth, mate      string
	strips           *block.StripSet
	width            length.Length
}

// keyOf names the group of a patch, and says how it is cut.
func keyOf(g *gridder, p patch) (string, block.Recipe) {
	r := block.RecipeOf(p.line, g.Seam, g.Style)
	switch {
	case p.role != BlockPatch:
	case g.Motifs[p.cloth]:
		r = block.RoundAMotif(p.line, g.Seam, g.Style)
	case g.Triangles.Large():
		r = r.Large(g.Seam)
	}
	// Rounding of outlines is far below what is told apart here.
	key := fmt.Sprintf("%s %s %s %s %s %d %d", p.name, p.set, p.cloth, r.Kind, p.mate, r.Size.Width.Total()/1000,
		r.Size.Height.Total()/1000)
	if r.Kind == block.Template {
		key += shapeKey(p.line)
	}
	return key, r
}

// groupOf is the group a patch belongs to, with its part.
func groupOf(g *gridder, p patch) *group {
	key, r := keyOf(g, p)
	if grp, ok := g.groups[key]; ok {
		return grp
	}
	grp := &group{role: p.role, paints: "/cloth",
		named: ref.Ref{Kind: ref.Cut, Of: g.In, Role: p.is, Cloth: p.cloth, No: len(g.order) + 1},
		name:  fmt.Sprintf("%s.%d.%s", p.name, len(g.order)+1, p.cloth), title: p.title, cloth: p.cloth, recipe: r,
		line: p.line, paired: p.mate != "", set: p.strips, setKey: p.set, width: p.width}
	if p.title == "" {
		grp.title, grp.paints = names[r.Kind], "/cloths"
	}
	g.groups[key] = grp
	g.order = append(g.order, grp)
	grp.part = g.part(g.partOf(grp), 0)
	return grp
}

// inBlock are the groups of the patches of a block whose own cloth is one, in their order: how a patch is cut is worked
// out once for all such blocks.
func inBlock(g *gridder, own string) []*group {
	if of, known := g.inBlock[own]; known {
		return of
	}
	of := make([]*group, len(g.divided))
	for i, p := range g.divided {
		of[i] = groupOf(g, ofBlock(g, p, own))
	}
	g.inBlock[own] = of
	return of
}

// ofBlock is a patch of a block whose own cloth is one.
func ofBlock(g *gridder, p block.Patch, own string) patch {
	out := patch{role: BlockPatch, is: ref.BlockPatch, name: "block", line: p.Line, cloth: g.clothOf(p.Letter, own)}
	if p.Set == nil || g.Strips != plan.SewnSets {
		if g.Triangles == plan.ManyTriangles {
			out.mate = mateOf(g, p, own)
		}
		return out
	}
	set := inCloths(g, *p.Set, own)
	out.set = fmt.Sprint(set.Segment/1000, set.Letters)
	for _, w := range set.Widths {
		out.set += fmt.Sprint(" ", w/1000)
	}
	x1, y1, x2, y2 := p.Line.Bounds()
	out.strips, out.width = &set, length.FromFloat(x2-x1)+length.FromFloat(y2-y1)-p.Set.Segment
	return out
}

// inCloths is a set with the cloths in place of its letters, the way round that comes
// first: turned, it is the same set.
func inCloths(g *gridder, set block.StripSet, own string) block.StripSet {
	out := block.StripSet{Segment: set.Segment, Widths: slices.Clone(set.Widths)}
	for _, l := range set.Letters {
		out.Letters = append(out.Letters, g.clothOf(l, own))
	}
	back := slices.Clone(out.Letters)
	slices.Reverse(back)
	if slices.Compare(back, out.Letters) < 0 {
		out.Letters = back
		slices.Reverse(out.Widths)
	}
	return out
}

// leastSet is how many units a strip set is worth sewing for. Common practice.
const leastSet = 4

// strippedUnits makes the patches of a group from strips; the set is named once.
func strippedUnits(g *gridder, grp *group) {
	each := grp.set.Strips(grp.cloth, grp.width)
	if each == 0 || grp.count/each < leastSet {
		return
	}
	height := length.Length(0)
	for _, w := range grp.set.Widths {
		height += w
	}
	set := g.sized(Set{Cloths: grp.set.Letters, Segments: grp.count / each, Segment: grp.set.Segment + 2*g.Seam,
		Height: height + 2*g.Seam})
	if set.Count == 0 {
		return // longer than the cloth is wide: cut one by one
	}
	p := &g.Parts[grp.part]
	long := sum.Repeat(int((set.Length-squared)/set.Segment), sum.Part, "segment", set.Segment).
		Plus(sum.Squaring, "to square the end", squared)
	p.Title, p.Role, p.Shape, p.Gives, p.Patches, p.Finished = "Strips to be sewn together", SetStrip, "strip", 1, 0, ""
	p.Size = sum.Size{Width: long.UpTo(g.Step), Height: g.allowed(sum.Part, "strip, finished", grp.width).UpTo(g.Step)}
	p.Count = set.Count * each
	if !g.named[grp.setKey] {
		g.named[grp.setKey] = true
		g.Sets = append(g.Sets, set)
	}
}

// mateOf is the cloth of the triangle a patch is sewn to before both are cut apart; of
// two triangles of one cloth there is no pair to be told apart.
func mateOf(g *gridder, p block.Patch, own string) string {
	if p.Mate == "" {
		return ""
	}
	if mate := g.clothOf(p.Mate, own); mate != g.clothOf(p.Letter, own) {
		return mate
	}
	return ""
}

// shapeKey tells templates apart by their sides.
func shapeKey(line outline.Outline) string {
	key := ""
	for i, v := range line {
		next := line[(i+1)%len(line)]
		key += fmt.Sprintf(" %d,%d", int64(next.X-v.X)/1000, int64(next.Y-v.Y)/1000)
	}
	return key
}

// names are what the kinds of cuts are called.
var names = map[block.Kind]string{block.Square: "Patch", block.Rect: "Patch", block.Half: "Half-square triangles",
	block.Quarter: "Quarter-square triangles", block.Template: "Patch by template",
	block.Slanted: "Patches from a strip"}

// partOf is the piece a group is cut from: upright patches as they are, all others up to
// the ruler step, trimmed with their unit.
func (g *gridder) partOf(grp *group) Part {
	r := grp.recipe
	size := r.Size
	if !r.Share {
		size = size.UpTo(g.Step)
	}
	part := Part{Ref: grp.named, Paints: grp.paints, Name: grp.name, Title: grp.title, Role: grp.role, Cloth: grp.cloth,
		Size: size, Shape: string(r.Kind), Gives: r.Gives, Finished: r.Finished}
	if r.Kind == block.Template {
		cut := grp.line.Offset(g.Seam.Float())
		x, y, _, _ := cut.Bounds()
		for _, v := range cut {
			part.Line = append(part.Line, outline.Vertex{X: v.X - x, Y: v.Y - y, Bulge: v.Bulge})
		}
	}
	return part
}

// judgeRuler finds blocks whose level patches are not on the ruler.
func judgeRuler(g *gridder) finding.List {
	var found finding.List
	text := g.Style.Text
	for _, grp := range g.order {
		if !grp.recipe.Share {
			continue
		}
		for _, size := range []sum.Sum{grp.recipe.Size.Width, grp.recipe.Size.Height} {
			if off := size.Total(); off.Floor(g.Step)+1000 < off && off+1000 < off.Ceil(g.Step) {
				found.Add(finding.Warn, "block-off-ruler", g.Path+"/patch/width",
					fmt.Sprintf("In a block of %s a patch is cut %s, which is not on a ruler with steps of %s.",
						text(g.sewnW), text(off), text(g.Step)), g.handyBlocks(g.node, g.sewnW, g.sewnH))
				return found
			}
		}
	}
	return found
}

// handyBlocks names the nearest block sizes whose patches are on the ruler.
func (o Order) handyBlocks(n block.Node, w, h length.Length) string {
	var fits []string
	start := w.Floor(o.Step)
	for d := length.Length(0); d <= 3*length.Inch && len(fits) < 2; d += o.Step {
		for _, size := range []length.Length{start - d, start + d} {
			if size > 0 && len(fits) < 2 && o.handy(n, size, length.FromFloat(h.Float()*size.Float()/w.Float())) &&
				!slices.Contains(fits, o.Style.Text(size)) {
				fits = append(fits, o.Style.Text(size))
			}
		}
	}
	switch len(fits) {
	case 0:
		return "Cut such patches by a template."
	case 1:
		return fmt.Sprintf("Blocks of %s are on the ruler.", fits[0])
	default:
		return fmt.Sprintf("Blocks of %s or %s are on the ruler.", fits[0], fits[1])
	}
}

func (o Order) handy(n block.Node, w, h length.Length) bool {
	patches, err := n.Divide(w, h)
	if err != nil {
		return false
	}
	return !slices.ContainsFunc(patches, func(p block.Patch) bool {
		r := block.RecipeOf(p.Line, o.Seam, o.Style)
		return r.Share && !(r.Size.Width.Total().OnStep(o.Step) && r.Size.Height.Total().OnStep(o.Step))
	})
}

// addUnits are what is sewn before the blocks, and the blocks.
func addUnits(g *gridder) {
	list, err := g.node.Units(g.sewnW, g.sewnH)
	if err != nil {
		return // said already where the block was divided
	}
	blocks := g.count()
	kinds := map[string]int{}
	for i, u := range list {
		set := cutAcross(g, u)
		a, alike := u.Alike(func(letter string) string { return letter })
		kind := fmt.Sprint(a.Cells, a.Cloths, a.Width/1000, a.Height/1000)
		at, seen := kinds[kind]
		if !seen || !alike {
			at = len(g.Units)
			kinds[kind] = at
			g.Units = append(g.Units, Unit{Set: set, Cloths: g.clothsOf(u.Node), Sign: u.Node.Sign,
				Block: i == len(list)-1, Triangles: u.Node.Leaves() && len(g.Motifs) == 0,
				Width: u.Width + 2*g.Seam, Height: u.Height + 2*g.Seam})
		}
		g.Units[at].Count += u.Count * blocks
		if alike && !set {
			addKinds(g, at, u)
		}
	}
}

// cutAcross reports whether a unit comes out of a strip set.
func cutAcross(g *gridder, u block.Unit) bool {
	high, segment := u.Width, u.Height
	if u.Node.Sign == block.Rows {
		high, segment = u.Height, u.Width
	}
	return (u.Node.Sign == block.Columns || u.Node.Sign == block.Rows) && u.Node.Leaves() &&
		slices.ContainsFunc(g.Sets, func(s Set) bool {
			return len(s.Cloths) == len(u.Node.Parts) && (s.Height-high-2*g.Seam).Abs() < 1000 &&
				(s.Segment-segment-2*g.Seam).Abs() < 1000
		})
}

// clothsOf are the cloths of a division, each once; empty for the one that every block
// has of its own.
func (g *gridder) clothsOf(n block.Node) []string {
	var out []string
	for _, l := range n.Letters() {
		if cloth := g.clothOf(l, ""); !slices.Contains(out, cloth) {
			out = append(out, cloth)
		}
	}
	return out
}
