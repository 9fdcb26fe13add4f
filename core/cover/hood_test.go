package cover_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/cover"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/sum"
	_ "umschlag/seeded"
)

func hood(kind plan.CoverKind, l, d, h, seam length.Length) plan.Plan {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object = plan.Object{Kind: plan.Box, Length: l, Depth: d, Height: h}
	p.Cover.Kind, p.Cover.Seam, p.Cover.Ease = kind, seam, plan.Axes{}
	return p
}

func built(t require.TestingT, p plan.Plan) cover.Cover {
	c, found := cover.Pieces(p.Settle())
	require.False(t, found.Stopped(), "%v", found)
	return c
}

func named(t require.TestingT, c cover.Cover, name string) cover.Piece {
	for _, p := range c.Pieces {
		if p.Name == name {
			return p
		}
	}
	require.FailNow(t, "no piece "+name)
	return cover.Piece{}
}

func trimmed(t require.TestingT, c cover.Cover, name string) (w, h length.Length) {
	p := named(t, c, name)
	s := p.Trimmed(p.Finished)
	return s.Width.Total(), s.Height.Total()
}

// The worked figures of docs/arithmetic.md §2.2: geometry.
func TestTheWorkedWrappedHood(t *testing.T) {
	p := hood("wrap-hood", 18*in, 29*in/2, 13*in/2, in/2)
	p.Cover.Corners = plan.Corners{Kind: "round", Radius: 2 * in}
	c := built(t, p)
	w, h := trimmed(t, c, "end")
	assert.Equal(t, 31*in/2, w)
	assert.Equal(t, 7*in, h, "no allowance at the bound edge")
	w, h = trimmed(t, c, "main")
	assert.Equal(t, 19*in, w)
	assert.InDelta(t, 26.21, h.Float()/in.Float(), 0.005)
	assert.Equal(t, 105*in/4, h.Ceil(in/8))
	p.Cover.Corners = plan.Corners{}
	_, h = trimmed(t, built(t, p), "main")
	assert.Equal(t, 55*in/2, h, "27½ with square corners")
}

func TestTheWorkedBandedHood(t *testing.T) {
	p := hood("band-hood", 19*in/2, 17*in/2, 15*in/2, 3*in/8)
	p.Cover.Corners = plan.Corners{Kind: "round", Plate: 6 * in}
	c := built(t, p)
	w, h := trimmed(t, c, "face")
	assert.Equal(t, 41*in/4, w)
	assert.Equal(t, 63*in/8, h)
	w, h = trimmed(t, c, "band")
	assert.Equal(t, 37*in/4, w)
	assert.Equal(t, 89*in/4, h.Ceil(in/8))
	assert.Equal(t, 21*in/8, named(t, c, "face").Radii.TopLeft, "half the plate less the seam")
}

func TestWhatSticksOutAndTheBulkAreLinesOfTheirOwn(t *testing.T) {
	p := hood("wrap-hood", 17*in, 14*in, 6*in, in/2)
	p.Object.SticksOut.Length = 3 * in / 4
	p.Cover.Ease.Length, p.Cover.Bulk = in/2, in/8
	var names []string
	for _, term := range named(t, built(t, p), "main").Finished.Width {
		names = append(names, term.Name)
	}
	assert.Equal(t, []string{"length", "what sticks out", "ease, cover larger", "bulk of the layers, both sides"},
		names)
	assert.Equal(t, 37*in/2, named(t, built(t, p), "main").Finished.Width.Total())
}

func TestASplitTopHasASeamInTheMiddle(t *testing.T) {
	p := hood("wrap-hood", 18*in, 14*in, 6*in, in/2)
	whole, _ := trimmed(t, built(t, p), "main")
	p.Cover.SplitTop = true
	c := built(t, p)
	w, h := trimmed(t, c, "main")
	assert.Equal(t, whole, w)
	assert.Equal(t, 2, named(t, c, "main").Count)
	assert.Equal(t, 27*in/2, h, "6 + 7 and one seam")
	assert.Equal(t, "over the top", c.Joins[0].Title)
}

func TestAHemAddsItsWidthWhereABoundEdgeAddsNothing(t *testing.T) {
	p := hood("band-hood", 10*in, 8*in, 8*in, in/2)
	_, bound := trimmed(t, built(t, p), "face")
	p.Cover.Bottom = plan.Bottom{Finish: "hem", Width: in}
	_, hemmed := trimmed(t, built(t, p), "face")
	_, band := trimmed(t, built(t, p), "band")
	assert.Equal(t, bound+in, hemmed)
	assert.Equal(t, 28*in, band, "26 and a hem at both ends")
}

func TestSkirtedHoods(t *testing.T) {
	p := hood("skirt-hood", 12*in, 9*in, 7*in, in/2)
	c := built(t, p)
	w, h := trimmed(t, c, "wall.side")
	assert.Equal(t, 10*in, w)
	assert.Equal(t, 15*in/2, h)
	assert.Len(t, c.Pieces, 3)
	p.Cover.Corners = plan.Corners{Kind: "round", Radius: 5 * in / 2}
	ring := built(t, p)
	w, _ = trimmed(t, ring, "wall")
	assert.InDelta(t, 43-2*(4-math.Pi)*2, w.Float()/in.Float(), 1e-6, "round four corners of 2, with one seam")
}

func TestABandThatIsCutIsHeldAgainstTheWayRound(t *testing.T) {
	for name, c := range map[string]struct {
		given              length.Length
		code, says, remedy string
	}{
		"short": {20 * in, "band-short", "2¼″ short", "3″"},
		"eases": {in.Times(22) + in/8, "band-eases", "eases in", "quarters"},
		"long":  {93 * in / 4, "band-long", "long", "at each end"},
	} {
		t.Run(name, func(t *testing.T) {
			p := hood("band-hood", 19*in/2, 17*in/2, 15*in/2, 3*in/8)
			p.Cover.Corners = plan.Corners{Kind: "round", Plate: 6 * in}
			p.Cover.BandLength = &c.given
			_, found := cover.Pieces(p.Settle())
			require.Len(t, found, 1)
			assert.Equal(t, c.code, found[0].Code)
			assert.Equal(t, "/cover/band_length", found[0].About)
			assert.Contains(t, found[0].Text, c.says)
			assert.Contains(t, found[0].Remedy, c.remedy)
			sides := built(t, p).Joins[0].Lengths
			assert.Equal(t, c.given, sides[0].Total(), "the join holds the band as it is cut against the face")
			assert.InDelta(t, 22.25, sides[1].Total().Float()/in.Float(), 0.01)
		})
	}
}

func TestBadHoodsAreNamed(t *testing.T) {
	for about, change := range map[string]func(*plan.Plan){
		"/object/kind":          func(p *plan.Plan) { p.Object.Kind = plan.Form },
		"/cover/corners/kind":   func(p *plan.Plan) { p.Cover.Corners.Kind = "tapered" },
		"/cover/corners/radius": func(p *plan.Plan) { p.Cover.Corners = plan.Corners{Kind: "round", Radius: 8 * in} },
		"/cover/corners/plate":  func(p *plan.Plan) { p.Cover.Corners = plan.Corners{Kind: "round", Plate: 20 * in} },
		"/cover/ease/depth":     func(p *plan.Plan) { p.Cover.Ease.Depth = -14 * in },
		"/object/depth":         func(p *plan.Plan) { p.Object.Depth = 30 * in },
	} {
		p := hood("wrap-hood", 18*in, 14*in, 6*in, in/2)
		change(&p)
		_, found := cover.Pieces(p.Settle())
		if assert.NotEmpty(t, found, about) {
			assert.Equal(t, about, found[0].About)
			assert.NotEmpty(t, found[0].Remedy)
		}
	}
}

func anyHood(t *rapid.T) plan.Plan {
	size := func(name string, lo, hi length.Length) length.Length {
		return length.Length(rapid.Int64Range(int64(lo), int64(hi)).Draw(t, name))
	}
	kind := rapid.SampledFrom([]plan.CoverKind{"wrap-hood", "band-hood", "skirt-hood"}).Draw(t, "kind")
	p := hood(kind, size("l", 6*in, 30*in), size("d", 6*in, 30*in), size("h", 4*in, 20*in), size("s", in/8, in))
	p.Cover.SplitTop = rapid.Bool().Draw(t, "split")
	if r := size("r", 0, 3*in); r > p.Cover.Seam {
		p.Cover.Corners = plan.Corners{Kind: "round", Radius: r}
	}
	return p
}

// Both sides of every seam are worked out apart: one from the axes less what
// corners save, the other from straights and arcs. The arcs are checked against
// the outline, integrated numerically.
func TestSeamsMatchAndARoundedWayIsNeverTheLonger(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := anyHood(t)
		c := built(t, p)
		for _, j := range c.Joins {
			assert.InDelta(t, j.Lengths[0].Total().Float(), j.Lengths[1].Total().Float(), 8, j.Title)
		}
		for _, piece := range c.Pieces {
			line := piece.Line()
			polygon := line.Points(2000)
			way := 0.0
			for i, a := range polygon {
				b := polygon[(i+1)%len(polygon)]
				way += math.Hypot(b[0]-a[0], b[1]-a[1])
			}
			assert.InEpsilon(t, way, line.Length(), 1e-6, piece.Name)
		}
		square := p
		square.Cover.Corners = plan.Corners{}
		plain := built(t, square)
		last := func(c cover.Cover) length.Length { return c.Joins[len(c.Joins)-1].Lengths[0].Total() }
		if p.Cover.Kind != "skirt-hood" {
			assert.LessOrEqual(t, last(c), last(plain))
		}
		if p.Cover.Corners.Kind == "" {
			assert.Equal(t, plain, c)
		}
	})
}

func TestTheCutOutlineIsTheLineAndItsAllowances(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		for _, piece := range built(t, anyHood(t)).Pieces {
			x1, y1, x2, y2 := piece.Cut().Bounds()
			size := piece.Trimmed(piece.Finished)
			assert.InDelta(t, size.Width.Total().Float(), x2-x1, 10, piece.Name)
			assert.InDelta(t, size.Height.Total().Float(), y2-y1, 10, piece.Name)
		}
	})
}

func TestInchesAndCentimetresAgree(t *testing.T) {
	p := hood("band-hood", 24*length.Centimetre, 20*length.Centimetre, 19*length.Centimetre, length.Centimetre)
	p.Cover.Corners = plan.Corners{Kind: "round", Plate: 15 * length.Centimetre}
	inches := built(t, p)
	p.Units = length.Centimetres
	assert.Equal(t, inches, built(t, p))
}

func TestRadiiStandOnTheSeamLine(t *testing.T) {
	p := hood("wrap-hood", 18*in, 14*in, 6*in, in/2)
	p.Cover.Corners = plan.Corners{Kind: "round", Radius: 2 * in}
	end := named(t, built(t, p), "end")
	assert.Equal(t, outline.Radii{TopLeft: 3 * in / 2, TopRight: 3 * in / 2}, end.Radii)
	assert.Equal(t, sum.Seam, end.Edges.Top.Kind)
	assert.Zero(t, end.Edges.Bottom.Width)
}

// Every seam as it is drawn is as long as its sum says, on both pieces, and its
// middle lies where the pieces are alike.
func TestSeamsAreDrawnWhereTheyAreSewn(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := anyHood(t)
		c := built(t, p)
		for _, j := range c.Joins {
			for side, name := range j.Between {
				require.NotEmpty(t, j.Runs[side], "%s on %s", j.Title, name)
				for _, run := range j.Runs[side] {
					piece := named(t, c, name)
					seam := piece.Seam(run)
					along := seam.Path.Length()
					if p.Cover.SplitTop && name == "main" && j.Title == "main panel to end" {
						along *= 2 // both halves, one after the other
					}
					assert.InDelta(t, j.Lengths[side].Total().Float(), along, 12, "%s on %s", j.Title, name)
					assert.Len(t, seam.Marks, 3)
				}
			}
		}
		if p.Cover.Kind == "wrap-hood" {
			end := named(t, c, "end")
			middle := end.Seam(cover.Run{cover.Left, cover.Top, cover.Right}).Marks[1]
			assert.InDelta(t, end.Finished.Width.Total().Float()/2, middle.X, 8)
			assert.InDelta(t, 0, middle.Y, 8)
		}
	})
}

func TestAStraightSeamIsClippedWhereItGoesRoundACorner(t *testing.T) {
	p := hood("wrap-hood", 18*in, 29*in/2, 13*in/2, in/2)
	p.Cover.Corners = plan.Corners{Kind: "round", Radius: 2 * in}
	c := built(t, p)
	own := named(t, c, "main").Seam(cover.Run{cover.Left})
	other := named(t, c, "end").Seam(cover.Run{cover.Left, cover.Top, cover.Right})
	clips := cover.Clips(own.Path, other.Path, 0)
	require.Len(t, clips, 2)
	assert.InDelta(t, 5, clips[0][0]/in.Float(), 1e-6, "6½ up, less the radius of 1½")
	assert.InDelta(t, 5+1.5*math.Pi/2, clips[0][1]/in.Float(), 1e-6)
	assert.Empty(t, cover.Clips(other.Path, own.Path, 0), "the rounded panel itself is not clipped")
}

func TestAHalfIsClippedRoundItsOwnCornerOnly(t *testing.T) {
	p := hood("wrap-hood", 18*in, 29*in/2, 13*in/2, in/2)
	p.Cover.Corners, p.Cover.SplitTop = plan.Corners{Kind: "round", Radius: 2 * in}, true
	c := built(t, p)
	other := named(t, c, "end").Seam(cover.Run{cover.Left, cover.Top, cover.Right})
	side := c.Joins[1]
	up := cover.Clips(named(t, c, "main").Seam(side.Runs[0][0]).Path, other.Path, side.Start(0))
	down := cover.Clips(named(t, c, "main").Seam(side.Runs[0][1]).Path, other.Path, side.Start(1))
	require.Len(t, up, 1)
	require.Len(t, down, 1)
	half := named(t, c, "main").Finished.Height.Total().Float()
	assert.InDelta(t, 5, up[0][0]/in.Float(), 1e-6, "5 up from the bottom")
	assert.InDelta(t, up[0][0], half-down[0][1], 8, "and as far from the bottom on the other side")
	assert.InDelta(t, up[0][1], half-down[0][0], 8)
}
