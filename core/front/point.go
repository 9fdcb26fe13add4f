package front

import (
	"fmt"
	"math"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// diagonal of a square block, and sideOf the block with a diagonal.
func diagonal(side length.Length) length.Length { return length.FromFloat(side.Float() * math.Sqrt2) }
func sideOf(diagonal length.Length) length.Length {
	return length.FromFloat(diagonal.Float() / math.Sqrt2)
}

// rim is how far the setting triangles reach out beyond the outer points of the blocks,
// on each side: left, right, above, below. Inside a border the blocks' points lie on the
// seam.
type rim struct{ left, right, above, below float64 }

// layDiagonally lays blocks on point in rows from the top, every other row one block
// shorter, and sews them in diagonal rows that rise to the right.
//
// Source: geometry; for c blocks across and r down, (c − 1)(r − 1) more lie between
// them, with 2(c − 1) + 2(r − 1) side triangles and 4 corners (docs/arithmetic.md §6.3).
func layDiagonally(g *gridder) finding.List {
	c, r := g.across.n, g.down.n
	d := g.across.patch.Float()
	side := sideOf(g.across.patch)
	if p := g.Order.Face.Patch; !p.Fit {
		side = p.Width
	}
	found := g.begin(side, side, side, side)
	if found.Stopped() {
		return found
	}
	g.grid.Patch = sum.Size{Width: g.allowed(sum.Part, "block, finished", side),
		Height: g.allowed(sum.Part, "block, finished", side)}
	if cut := side + 2*g.Seam; !cut.OnStep(g.Step) {
		found.Add(finding.Warn, "patch-off-ruler", g.Path+"/patch/width",
			fmt.Sprintf("The block is sewn to %s, which is not on a ruler with steps of %s.", g.Style.Text(cut),
				g.Style.Text(g.Step)),
			onRuler(g.Order, "block", "blocks", cut))
	}
	x0, y0 := (total(g.across.borders) + g.across.float).Float(), (total(g.down.borders) + g.down.float).Float()
	count := map[int]int{}
	for row := range 2*r - 1 {
		for col := range c - row%2 {
			cx, cy := x0+(float64(col)+0.5+float64(row%2)/2)*d, y0+float64(row+1)*d/2
			band := col + (row+row%2)/2 + 1 // blocks whose middles lie on one rising line
			count[band]++
			at := turned(cx, cy, side.Float())
			p := place{row: row + 1, column: col + 1, band: band, at: at, cut: g.grid.Patch}
			for i, v := range square(0, 0, side, side) {
				p.corners[i] = at(v)
			}
			g.put(p)
		}
	}
	rimmed := g.rim()
	addTriangles(g, x0, y0, d, rimmed)
	what := "blocks"
	if !g.blocks {
		what = "patches"
	}
	for band := 1; band <= c+r-1; band++ { // a triangle at each end
		g.Bands = append(g.Bands, Band{Number: band, Of: what, Pieces: count[band] + 2, Group: 1})
	}
	addDiagonalSeams(g, x0, y0, d, side)
	sewn := func(a *axis, more float64) sum.Sum {
		return sum.Repeat(a.n, sum.Part, "block, point to point", a.patch).
			Plus(sum.Part, "setting triangles beyond the blocks", length.FromFloat(more)).
			Between(sum.Seam, "seam allowance", g.Seam)
	}
	g.Sewn = sum.Size{Width: sewn(g.across, rimmed.left+rimmed.right), Height: sewn(g.down, rimmed.above+rimmed.below)}
	g.grid.Sewn = g.Sewn
	return append(found, g.finish()...)
}

// turned brings a block to its place on its point, its top left corner up.
func turned(cx, cy, side float64) func(outline.Vertex) outline.Vertex {
	return func(v outline.Vertex) outline.Vertex {
		u, w := v.X-side/2, v.Y-side/2
		return outline.Vertex{X: cx + (u-w)/math.Sqrt2, Y: cy + (u+w)/math.Sqrt2}
	}
}

// rim grows by what floats and, where there is no border, by what is trimmed off.
func (g *gridder) rim() rim {
	x, y := g.across.float.Float(), g.down.float.Float()
	out := rim{x, x, y, y}
	if len(g.across.borders) == 0 {
		a, d := g.across, g.down
		out = rim{x + (a.low + a.rimLow).Float(), x + (a.high + a.rimHigh).Float(), y + (d.low + d.rimLow).Float(),
			y + (d.high + d.rimHigh).Float()}
	}
	return out
}

// reached is the rim with the seam round the face and what is trimmed off.
func (g *gridder) reached(r rim) rim {
	left, right := reachAxis(g.Order, g.across)
	above, below := reachAxis(g.Order, g.down)
	x, y := g.across.float.Float(), g.down.float.Float()
	return rim{x + left.Float(), x + right.Float(), y + above.Float(), y + below.Float()}
}

// addTriangles fill the rim. Each is cut from its whole triangle; drawn, it ends where the
// seam between two diagonal rows runs out to the edge.
func addTriangles(g *gridder, x0, y0, d float64, sewn rim) {
	e := sewn
	if len(g.across.borders) == 0 {
		e = g.reached(sewn)
	}
	line := func(points ...float64) outline.Outline {
		var out outline.Outline
		for i := 0; i < len(points); i += 2 {
			out = append(out, outline.Vertex{X: x0 + points[i], Y: y0 + points[i+1]})
		}
		return out
	}
	c, r := g.across.n, g.down.n
	w, h, q := d*float64(c), d*float64(r), d/2
	for i := 1; i < c; i++ {
		x := float64(i) * d
		g.side(d+2*sewn.above, i, line(x-q+e.above, -e.above, x+q+e.above, -e.above, x, q, x-q, 0))
		g.side(d+2*sewn.below, i+r, line(x, h-q, x+q, h, x+q-e.below, h+e.below, x-q-e.below, h+e.below))
	}
	for j := 1; j < r; j++ {
		y := float64(j) * d
		g.side(d+2*sewn.left, j, line(-e.left, y-q+e.left, 0, y-q, q, y, -e.left, y+q+e.left))
		g.side(d+2*sewn.right, j+c, line(w-q, y, w+e.right, y-q-e.right, w+e.right, y+q-e.right, w, y+q))
	}
	g.corner(q+sewn.left+sewn.above, 0, line(-e.left, -e.above, q+e.above, -e.above, -e.left, q+e.left))
	g.corner(q+sewn.right+sewn.above, c,
		line(w-q, 0, w-q+e.above, -e.above, w+e.right, -e.above, w+e.right, q-e.right, w, q))
	g.corner(q+sewn.left+sewn.below, r,
		line(q, h, q-e.below, h+e.below, -e.left, h+e.below, -e.left, h-q+e.left, 0, h-q))
	g.corner(q+sewn.right+sewn.below, 0, line(w+e.right, h+e.below, w-q-e.below, h+e.below, w+e.right, h-q-e.right))
}

// side is a triangle at a side, its long side, on the straight grain, outside.
func (g *gridder) side(base float64, band int, drawn outline.Outline) {
	g.setting(ref.SettingSide, "side", "Side triangles",
		outline.Outline{{X: 0, Y: 0}, {X: base, Y: 0}, {X: base / 2, Y: base / 2}}, band, drawn)
}

// corner is a triangle at a corner, its short sides, on the straight grain, outside.
func (g *gridder) corner(leg float64, band int, drawn outline.Outline) {
	g.setting(ref.SettingCorner, "corner", "Corner triangles",
		outline.Outline{{X: 0, Y: 0}, {X: leg, Y: 0}, {X: 0, Y: leg}}, band, drawn)
}

func (g *gridder) setting(is ref.Role, name, title string, cut outline.Outline, band int, drawn outline.Outline) {
	grp := groupOf(g, patch{role: Setting, is: is, name: name, title: title, line: cut, cloth: g.settingCloth()})
	grp.count++
	if p := &g.Parts[grp.part]; grp.count == 1 {
		p.Finished += ", the straight grain outside"
	}
	x1, y1, x2, y2 := drawn.Bounds()
	g.cell(Cell{Part: grp.part, X: length.FromFloat(x1), Y: length.FromFloat(y1), Width: length.FromFloat(x2 - x1),
		Height: length.FromFloat(y2 - y1), Band: band, Line: drawn})
}

// settingCloth is the cloth of the setting triangles.
func (g *gridder) settingCloth() string {
	f := g.Order.Face
	if f.Cloth == "" && len(f.Cloths) > 0 {
		return f.Cloths[len(f.Cloths)-1]
	}
	return f.Cloth
}

// addDiagonalSeams are the seams between the blocks of a diagonal row and between the rows.
func addDiagonalSeams(g *gridder, x0, y0, d float64, side length.Length) {
	c, r := float64(g.across.n), float64(g.down.n)
	cut := side + 2*g.Seam
	for row := range 2*g.down.n - 1 {
		for col := range g.across.n - row%2 {
			cx, cy := (float64(col)+0.5+float64(row%2)/2)*d, float64(row+1)*d/2
			band := col + (row+row%2)/2 + 1
			// The lower left side of every block, and the upper right one of the last.
			g.Face.seam(Seam{Kind: InBand, Band: band, Group: g.bandGroup(band), Sewn: cut, Left: -1, Right: -1,
				X1: x0 + cx - d/2, Y1: y0 + cy, X2: x0 + cx, Y2: y0 + cy + d/2})
			if row == 0 || (row%2 == 0 && col == g.across.n-1) {
				g.Face.seam(Seam{Kind: InBand, Band: band, Group: g.bandGroup(band), Sewn: cut, Left: -1, Right: -1,
					X1: x0 + cx, Y1: y0 + cy - d/2, X2: x0 + cx + d/2, Y2: y0 + cy})
			}
		}
	}
	for k := 0; k <= g.across.n+g.down.n-1; k++ { // between rows k and k + 1, along x + y
		s := (float64(k) + 0.5) * d
		left, right := max(0, s-r*d), min(c*d, s)
		g.Face.seam(Seam{Kind: Between, Band: k, Group: Group{In: g.In, Kind: Between, No: k},
			Sewn: length.FromFloat((right-left)*math.Sqrt2) + 2*g.Seam, Left: -1, Right: -1,
			X1: x0 + right, Y1: y0 + s - right, X2: x0 + left, Y2: y0 + s - left})
	}
}
