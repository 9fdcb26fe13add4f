package front

import (
	"fmt"

	"umschlag/core/block"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// grid is rows of patches or blocks, straight or on point, inside borders.
func grid(o Order) (Face, finding.List) {
	across, down := axesOf(o)
	var found finding.List
	n := block.Node{Letter: "A"}
	blocks := o.Face.Block.Name != "" || o.Face.Block.Cells != nil
	if blocks {
		if n, found = o.blockOf(); found.Stopped() {
			return Face{}, found
		}
	}
	if across.point {
		found = append(found, o.pointed(across, down)...)
	}
	if found.Stopped() {
		return Face{}, found
	}
	solvePatch(o, across, down)
	if across.point && o.Face.Patch.Fit { // the block itself goes down to the ruler
		side := sideOf(across.patch).Floor(o.Step)
		across.patch, down.patch = diagonal(side), diagonal(side)
	}
	if found = append(found, both(across, down,
		func(a *axis) finding.List { return fillAxis(o, a) })...); found.Stopped() {
		return Face{}, found
	}
	found = append(found, both(across, down, func(a *axis) finding.List { return cutAxis(o, a) })...)
	f := Face{Columns: across.n, Rows: down.n, Rings: len(o.Face.Borders),
		Border: [2]length.Length{total(across.borders), total(down.borders)}}
	f.Finished = sum.Size{Width: finishedSum(o, across), Height: finishedSum(o, down)}
	cloths, like := arrange(o.Face, o.Path)
	found = append(found, like...)
	g := &gridder{Order: o, Face: &f, across: across, down: down, cloths: cloths, node: n, blocks: blocks,
		grid: Grid{Columns: across.n, Rows: down.n, Blocks: blocks, Point: across.point, Laid: cloths, Node: n}}
	if across.point {
		found = append(found, layDiagonally(g)...)
	} else {
		found = append(found, g.straight()...)
	}
	if found.Stopped() {
		return Face{}, found
	}
	g.grid.Over, g.grid.Squared = [2]length.Length{across.over,
		down.over}, sum.Size{Width: across.squared(f.Sewn.Width, across.rims()),
		Height: down.squared(f.Sewn.Height, down.rims())}
	f.Grids, f.Sewn = []Grid{g.grid}, g.grid.Squared
	found = append(found, o.borders(&f, across, down)...)
	return f, found
}

// gridder lays a grid.
type gridder struct {
	Order
	*Face
	across, down *axis
	cloths       [][]string
	node         block.Node
	blocks       bool
	grid         Grid
	groups       map[string]*group
	order        []*group
	// inBlock are the groups of the patches of a block, by its own cloth.
	inBlock map[string][]*group
	// named are the strip sets that stand in the list.
	named map[string]bool
	// The block as it is sewn and as it is drawn, with the seams within it.
	sewnW, sewnH     length.Length
	divided, drawn   []block.Patch
	inner, innerSewn []block.Seam
}

// place is where a patch or block lies.
type place struct {
	row, column, band int
	// at brings a point of the finished patch, from its top left corner, to the face.
	at func(outline.Vertex) outline.Vertex
	// plain is the rectangle it is where it is one, cut as it is cut, edge where at the rim it is cut otherwise.
	x, y, width, height length.Length
	cut                 sum.Size
	edge                string
	// corners are those it finishes with, also where it reaches out beyond them.
	corners [4]outline.Vertex
}

// straight lays rows from the top, with sashes between them where there are any.
func (g *gridder) straight() finding.List {
	sewn := sum.Size{Width: sewnSum(g.Order, g.across), Height: sewnSum(g.Order, g.down)}
	g.Sewn, g.grid.Sewn = sewn, sewn
	g.grid.Patch = sum.Size{Width: g.across.cut, Height: g.down.cut}
	if s := g.Order.Face.Sash; s != nil && g.across.sash > 0 {
		g.grid.Sash, g.grid.Posts = true, s.Posts
	}
	xs, ys := slotsOf(g.Order, g.across), slotsOf(g.Order, g.down)
	found := g.begin(g.across.cut.Total()-2*g.Seam, g.down.cut.Total()-2*g.Seam, g.across.patch, g.down.patch)
	if found.Stopped() {
		return found
	}
	band := 0
	for i, y := range ys {
		switch {
		case !y.sash:
			band++
			addPatchRow(g, xs, y, band)
		case g.grid.Posts:
			band++
			addPostRow(g, xs, y, band)
		default:
			last := xs[len(xs)-1]
			p := g.sash(LongSash, g.Sewn.Width, y.cut)
			g.cell(Cell{Part: p, X: xs[0].at, Y: y.at, Width: last.at + last.size - xs[0].at, Height: y.size})
		}
		if i+1 < len(ys) {
			last := xs[len(xs)-1]
			s := Seam{Kind: Between, Band: band, Group: Group{In: g.In, Kind: Between, No: i + 1},
				Y1: ys[i+1].at.Float(), Y2: ys[i+1].at.Float(),
				X1: (last.at + last.size).Float(), X2: xs[0].at.Float(), Sewn: g.Sewn.Width.Total(), Left: -1,
				Right: -1}
			if y.sash { // drawn so that the sash lies to its left; else the lower row
				s.X1, s.X2 = s.X2, s.X1
			}
			g.Face.seam(s)
		}
	}
	return append(found, g.finish()...)
}

// addPatchRow is a row of patches, and of the short sashes between them.
func addPatchRow(g *gridder, xs []slot, y slot, band int) {
	before := -1
	for i, x := range xs {
		at := len(g.Cells)
		if x.sash {
			at = g.cell(Cell{Part: g.sash(ShortSash, x.cut, y.cut), X: x.at, Y: y.at, Width: x.size, Height: y.size,
				Band: band})
		} else {
			g.put(place{row: y.i + 1, column: x.i + 1, band: band, at: g.upright(x, y), x: x.at, y: y.at, width: x.size,
				height: y.size, corners: square(x.starts, y.starts, g.across.patch, g.down.patch),
				cut:  sum.Size{Width: x.cut, Height: y.cut},
				edge: rimEdge(g.across.rimmedAt(x.i), g.down.rimmedAt(y.i))})
		}
		g.joint(i, x, y, band, [2]int{before, at}, x.sash && len(xs) > g.across.n)
		before = at
	}
	b := Band{Number: band, Of: "patches", Pieces: len(xs), Length: g.Sewn.Width.Total(), Group: 1,
		Sashes: len(xs) > g.across.n}
	if g.blocks {
		b.Of = "blocks"
	}
	g.Bands = append(g.Bands, b)
}

// square is a rectangle by its corners in turn.
func square(x, y, w, h length.Length) [4]outline.Vertex {
	x1, y1, x2, y2 := x.Float(), y.Float(), (x + w).Float(), (y + h).Float()
	return [4]outline.Vertex{{X: x1, Y: y1}, {X: x2, Y: y1}, {X: x2, Y: y2}, {X: x1, Y: y2}}
}

// rimEdge names the patches that are cut otherwise at the rim: across, down, or both.
func rimEdge(across, down bool) string {
	switch {
	case across && down:
		return "corner"
	case across:
		return "side"
	case down:
		return "end"
	}
	return ""
}

// rimTitles are what patches are called by where they lie.
var rimTitles = map[string]string{"": "Patch", "corner": "Corner patch", "side": "Patch at a side",
	"end": "Patch at top or bottom"}

// addPostRow is a row of sashes and the posts between them.
func addPostRow(g *gridder, xs []slot, y slot, band int) {
	before := -1
	for i, x := range xs {
		role := ShortSash
		if x.sash {
			role = Post
		}
		at := g.cell(Cell{Part: g.sash(role, x.cut, y.cut), X: x.at, Y: y.at, Width: x.size, Height: y.size,
			Band: band})
		g.joint(i, x, y, band, [2]int{before, at}, !x.sash)
		before = at
	}
	g.Bands = append(g.Bands, Band{Number: band, Of: "sashes", Pieces: len(xs), Length: g.Sewn.Width.Total(), Group: 1,
		Sashes: true, Posts: true})
}

// joint is the seam before the i-th piece of a row, between two cells. It is drawn
// upwards, or down where that leaves the sash to its left.
func (g *gridder) joint(i int, x, y slot, band int, between [2]int, back bool) {
	if i == 0 {
		return
	}
	s := Seam{Kind: InBand, Band: band, Group: g.bandGroup(band), X1: x.at.Float(), X2: x.at.Float(),
		Y1: (y.at + y.size).Float(), Y2: y.at.Float(),
		Sewn: y.cut.Total(), Left: between[0], Right: between[1]}
	if back {
		s.Y1, s.Y2, s.Left, s.Right = s.Y2, s.Y1, s.Right, s.Left
	}
	if g.blocks && !g.grid.Sash {
		s.Left, s.Right = -1, -1
	}
	g.Face.seam(s)
}

// bandGroup is the seams of a row, which are pressed alike.
func (g *gridder) bandGroup(band int) Group { return Group{In: g.In, Kind: InBand, No: band} }

var (
	sashTitles = map[Role]string{ShortSash: "Short sashing strip", LongSash: "Long sashing strip", Post: "Cornerstone"}
	sashRefs   = map[Role]ref.Role{ShortSash: ref.ShortSash, LongSash: ref.LongSash, Post: ref.Post}
)

// sash is the part of a sash or post once more.
func (g *gridder) sash(role Role, width, height sum.Sum) int {
	s := g.Order.Face.Sash
	cloth := s.Cloth
	if role == Post && s.PostCloth != "" {
		cloth = s.PostCloth
	}
	name, named, kinds := string(role), g.ref(sashRefs[role]), 0
	for _, p := range g.Parts { // the outermost may be wider, for what is trimmed off
		if p.Role != role {
			continue
		}
		if kinds++; p.Size.Width.Total() == width.Total() && p.Size.Height.Total() == height.Total() {
			return g.part(p, 1)
		}
	}
	if kinds > 0 {
		name, named.No = fmt.Sprintf("%s.%d", role, kinds+1), kinds+1
	}
	paints := "/sash/cloth"
	if role == Post {
		paints = "/sash/post_cloth"
	}
	return g.part(Part{Ref: named, Paints: paints, Name: name, Title: sashTitles[role], Role: role, Cloth: cloth,
		Size: sum.Size{Width: width, Height: height}}, 1)
}

// upright brings a patch to its place; at the rim it reaches out to the cut edge.
func (g *gridder) upright(x, y slot) func(outline.Vertex) outline.Vertex {
	const near = 1000
	reach := func(v float64, s slot, patch length.Length) float64 {
		switch {
		case v < near:
			return s.at.Float()
		case v > patch.Float()-near:
			return (s.at + s.size).Float()
		}
		return s.starts.Float() + v
	}
	return func(v outline.Vertex) outline.Vertex {
		return outline.Vertex{X: reach(v.X, x, g.across.patch), Y: reach(v.Y, y, g.down.patch)}
	}
}

// pointed finds what a grid on point cannot be.
func (o Order) pointed(across, down *axis) finding.List {
	var found finding.List
	if o.Face.Sash != nil && o.Face.Sash.Width > 0 {
		found.Add(finding.Stop, "point-sash", o.Path+"/sash", "Sashing between blocks on point is not worked out.",
			"Set the blocks straight, or remove the sashing.")
	}
	if f := o.Face.Patch; !f.Fit && f.Height != 0 && f.Width != f.Height {
		found.Add(finding.Stop, "point-square", o.Path+"/patch/height", "On point the blocks have to be square.",
			fmt.Sprintf("Give both the same size, such as %s.", o.Style.Text(f.Width)))
	}
	if !o.Face.Patch.Fit {
		across.patch = diagonal(o.Face.Patch.Width)
		down.patch = across.patch
	}
	return found
}
