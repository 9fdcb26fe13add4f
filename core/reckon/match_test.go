package reckon_test

import (
	"math"
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/answer"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// striped is a cushion of one striped fabric, matched over its seams.
func striped(back plan.Back, across, along length.Length) plan.Plan {
	p := cushionOf(length.Inches, 16*in, 16*in)
	p.Cloths = map[string]plan.Cloth{"A": {Name: "harbour stripe", Print: plan.TwoWay, Match: true,
		Repeat: &plan.Repeat{Across: across, Along: along}}}
	p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"}}}
	p.Back = back
	return p
}

// middles are where the middle of the cover would lie on the fabric, for every piece that is laid out, told by its
// edges.
func middles(t *testing.T, r answer.Reckoning, letter string) map[string][][2]int64 {
	t.Helper()
	front := cut(t, r, "cut.piece:front.role:panel")
	whole, seen := front.Width.NM, map[string]int{}
	out := map[string][][2]int64{}
	for _, at := range clothOf(t, r, letter).Lay.Placed {
		c := r.Cuts[at.Cut]
		x := at.X.NM + c.Width.NM/2
		if c.Piece == "back" {
			var labels []string
			for _, lie := range r.Back.Lies {
				if lie.Cut == c.ID {
					labels = append(labels, lie.Label)
				}
			}
			require.NotEmpty(t, labels)
			slices.Sort(labels) // the left one is told first
			switch labels[seen[c.ID]%len(labels)] {
			case "left": // its left edge is that of the front
				x = at.X.NM + whole/2
			case "right":
				x = at.X.NM + c.Width.NM - whole/2
			}
			seen[c.ID]++
		}
		out[c.Piece] = append(out[c.Piece], [2]int64{x, at.Y.NM + c.Height.NM/2})
	}
	return out
}

// On every piece the print lies as it does on the others: seen from the middle of the cover.
func TestAPrintGoesOnFromPieceToPiece(t *testing.T) {
	backs := map[string]plan.Back{
		"two alike": {Kind: plan.Envelope, Hem: []length.Length{in / 2, in / 2}},
		"of widths": {Kind: plan.Envelope, Hem: []length.Length{in / 2},
			Panels: plan.Panels{Widths: []length.Length{9 * in, 14 * in}}},
		"with bands": {Kind: "lapped", Band: in, Tape: in * 3 / 4},
		"a zip":      {Kind: "zip", Flap: in},
		"left first": {Kind: "zip", Flap: in, Outer: plan.LeftSide},
		"sewn shut":  {Kind: "sewn"},
	}
	for name, back := range backs {
		for _, repeat := range [][2]length.Length{{3 * in, 5 * in}, {0, 7 * in / 2}, {5 * in / 2, 0}} {
			p := striped(back, repeat[0], repeat[1])
			p.Copies = 2
			r := reckon.Reckon(p, nil)
			require.NotNil(t, r.Back, "%s: %v", name, codes(r))
			var first *[2]int64
			found := middles(t, r, "A")
			assert.Len(t, found, 2, name)
			for piece, all := range found {
				for _, at := range all {
					if first == nil {
						first = &at
					}
					for way, by := range repeat {
						if by > 0 {
							assert.Zero(t, (at[way]-first[way])%int64(by), "%s: %s lies beside its print", name, piece)
						}
					}
				}
			}
		}
	}
}

// A pocket of the fabric of its panel is cut so that the print goes on over it: the middle of the panel lies beside
// the pocket as it does beside the panel itself.
func TestAPocketHasThePrintUnderIt(t *testing.T) {
	for _, style := range []plan.PocketStyle{plan.FlatPocket, plan.FoldedPocket} {
		p := striped(plan.Back{Kind: "sewn"}, 3*in, 5*in)
		p.Fittings = []plan.Fitting{{Kind: "pocket", On: "front", Width: 5 * in, Height: 6 * in, Style: style,
			At: plan.At{Left: new(2 * in), Top: new(3 * in)}}}
		r := reckon.Reckon(p, nil)
		var panel, pocket *answer.Placed
		for _, at := range clothOf(t, r, "A").Lay.Placed {
			switch r.Cuts[at.Cut].About.Role {
			case "panel":
				panel = &at
			case "fitting-part":
				pocket = &at
			}
		}
		require.NotNil(t, pocket, codes(r))
		seam := int64(p.Settle().Cover.Seam)
		wide, high := panel.Width.NM-2*seam, panel.Height.NM-2*seam // finished
		top := pocket.Y.NM + int64(in)                              // the hem at its top
		if style == plan.FoldedPocket {
			top = pocket.Y.NM + pocket.Height.NM/2 // the fold
		}
		x := pocket.X.NM + seam + wide/2 - int64(2*in)
		y := top + high/2 - int64(3*in)
		assert.Zero(t, (x-panel.X.NM-panel.Width.NM/2)%int64(3*in), style)
		assert.Zero(t, (y-panel.Y.NM-panel.Height.NM/2)%int64(5*in), style)
	}
}

// What lies at a selvedge, or is joined from strips, lies as it comes, and that is said.
func TestWhatCannotBeMatchedIsSaid(t *testing.T) {
	r := reckon.Reckon(striped(plan.Back{Kind: plan.Envelope}, 3*in, 5*in), nil)
	assert.Contains(t, codes(r), "print-unmatched")
	assert.Empty(t, cut(t, r, "cut.piece:back.role:closure-panel").Motif)
	r = reckon.Reckon(striped(plan.Back{Kind: "sewn"}, 3*in, 5*in), nil)
	assert.NotContains(t, codes(r), "print-unmatched")
	p := striped(plan.Back{Kind: "sewn"}, 3*in, 5*in)
	p.Cloths["A"] = plan.Cloth{Name: "harbour stripe", Match: true}
	assert.Contains(t, codes(reckon.Reckon(p, nil)), "repeat-unknown")
}

// Where a motif lies is told from the middle of a piece, as near as the print repeats.
func TestWhereAMotifLiesIsSaid(t *testing.T) {
	hem := []length.Length{in / 2, in / 2}
	for repeat, says := range map[[2]length.Length]string{
		{3 * in, 5 * in}: "a motif ⅜″ left of its middle on the left piece, as far on its other side on the right piece",
		{3 * in, 0}:      "a motif ⅜″ left of the middle of its width on the left piece, as far on its other side on the right piece",
		{0, 5 * in}:      "a motif in the middle of its height",
	} {
		r := reckon.Reckon(striped(plan.Back{Kind: plan.Envelope, Hem: hem}, repeat[0], repeat[1]), nil)
		back := cut(t, r, "cut.piece:back.role:closure-panel")
		assert.Equal(t, says, back.Motif)
	}
}

// What lies inside a matched pocket is of another fabric, and lies as it comes.
func TestOnlyWhatIsSeenIsMatched(t *testing.T) {
	p := striped(plan.Back{Kind: "sewn"}, 3*in, 5*in)
	p.Cloths["L"] = plan.Cloth{Name: "calico"}
	p.Fittings = []plan.Fitting{{Kind: "pocket", On: "front", Width: 5 * in, Height: 6 * in,
		At: plan.At{Left: new(2 * in), Top: new(3 * in)}, Layers: &plan.Layers{Lining: "L"}}}
	r := reckon.Reckon(p, nil)
	lined := 0
	for _, c := range r.Cuts {
		if c.Cloth == "L" {
			lined++
			assert.Empty(t, c.Motif)
		}
	}
	assert.Equal(t, 1, lined)
}

// What is decided of triangles counts with motifs in the middle, of a fabric whose motifs are measured, in a block;
// else they are cut as ever, and the ways to make them stand side by side. Laid by hand it counts too.
func TestTrianglesGoRoundMotifsWhereThereAreAny(t *testing.T) {
	shoofly := func(change func(*plan.Face, *plan.Cloth)) (triangles, templates int, methods bool) {
		p := worked()
		face := &plan.Face{Kind: plan.GridFace, Columns: 2, Rows: 2, Cloths: []string{"A", "B"},
			Patch: plan.Patch{Fit: true}, Block: plan.Block{Name: "shoofly"}, Centred: true, TrianglesCentred: true}
		a := p.Cloths["A"]
		a.Repeat = &plan.Repeat{Across: 3 * in, Along: 3 * in}
		change(face, &a)
		p.Cloths["A"], p.Pieces["front"] = a, plan.Piece{Face: face}
		r := reckon.Reckon(p, nil)
		for _, c := range r.Cuts {
			if c.Piece == "front" && c.Shape == "half-square" {
				triangles += c.Patches
			}
			if c.Piece == "front" && c.Shape == "template" {
				templates += c.Total
			}
		}
		return triangles, templates, len(r.Pieces[0].Methods) > 0
	}
	for name, change := range map[string]func(*plan.Face, *plan.Cloth){
		"as the print comes": func(f *plan.Face, _ *plan.Cloth) { f.Centred = false },
		"nobody measured":    func(_ *plan.Face, c *plan.Cloth) { c.Repeat = nil },
		"nothing decided":    func(f *plan.Face, _ *plan.Cloth) { f.TrianglesCentred = false },
	} {
		triangles, templates, methods := shoofly(change)
		assert.Equal(t, []int{32, 0}, []int{triangles, templates}, name)
		assert.True(t, methods, name)
	}
	triangles, templates, methods := shoofly(func(f *plan.Face, _ *plan.Cloth) {
		f.Order = plan.Order{Kind: plan.Rows, Rows: [][]string{{"A", "A"}, {"A", "A"}}}
		f.Cloths = []string{"B", "B"}
	})
	assert.Equal(t, []int{16, 16}, []int{triangles, templates}, "laid by hand")
	assert.False(t, methods)
}

// Triangles that are cut round a motif are cut one by one by their template, the middle of each on a motif, whichever
// way round it lies; what meets them is cut to size as well, whatever the school.
func TestTrianglesOfBlocksAreCentredOnTheirMotif(t *testing.T) {
	for _, school := range []plan.Triangles{plan.ExactTriangles, plan.TrimTriangles, plan.ManyTriangles} {
		for _, repeat := range []length.Length{5 * in / 2, 4 * in} {
			p := worked()
			p.Pieces["front"] = plan.Piece{Face: &plan.Face{Kind: plan.GridFace, Columns: 2, Rows: 2,
				Cloths: []string{"A", "B"}, Patch: plan.Patch{Fit: true}, Block: plan.Block{Name: "shoofly"},
				Centred: true, TrianglesCentred: true}}
			p.Habits.Triangles = school
			a := p.Cloths["A"]
			a.Repeat, a.Print = &plan.Repeat{Across: repeat, Along: repeat}, plan.OneWay
			p.Cloths["A"] = a
			r := reckon.Reckon(p, nil)
			templates, others := 0, 0
			for i, c := range r.Cuts {
				if c.Piece != "front" || c.Layer != "outer" {
					continue
				}
				if c.Shape == "half-square" {
					assert.Equal(t, "B", c.Cloth)
					others += c.Patches
				}
				if c.Shape != "template" {
					continue
				}
				templates += c.Total
				assert.Contains(t, c.Motif, "the rectangle’s middle")
				assert.NotContains(t, c.Motif, "≈", "it is on the ruler")
				require.Len(t, c.Line, 3)
				x := float64(c.Line[0].X+c.Line[1].X+c.Line[2].X) / 3
				y := float64(c.Line[0].Y+c.Line[1].Y+c.Line[2].Y) / 3
				at := map[[2]int64]bool{} // where on the repeat their middles lie, to a hundredth of a millimetre
				for _, placed := range clothOf(t, r, "A").Lay.Placed {
					if placed.Cut == i {
						phase := func(n float64) int64 { return int64(math.Round(n/1e4)) % (int64(repeat) / 1e4) }
						at[[2]int64{phase(float64(placed.X.NM) + x), phase(float64(placed.Y.NM) + y)}] = true
					}
				}
				assert.Len(t, at, 1, "%s: %v", c.ID, at)
			}
			assert.Equal(t, 16, templates, "four corners of each of four blocks")
			assert.Equal(t, 16, others)
			for _, s := range r.Steps {
				assert.NotContains(t, s.Text, "draw a diagonal", s.Title)
			}
		}
	}
}
