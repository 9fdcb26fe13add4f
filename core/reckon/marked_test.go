package reckon_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/answer"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// long is how long a path of straight sides is.
func long(path []answer.Vertex) float64 {
	sum := 0.0
	for i := range len(path) - 1 {
		sum += math.Hypot(float64(path[i+1].X-path[i].X), float64(path[i+1].Y-path[i].Y))
	}
	return sum
}

func piecesOf(r answer.Reckoning) map[string]answer.Piece {
	out := map[string]answer.Piece{}
	for _, p := range r.Pieces {
		out[p.Name] = p
	}
	return out
}

// What is marked in a step lies on its piece, whatever is planned.
func TestWhatIsMarkedLiesOnItsPiece(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		r := reckon.Reckon(anyplan.Plans().Draw(t, "plan"), nil)
		if finding.List(r.Findings).Stopped() {
			return
		}
		pieces := piecesOf(r)
		for _, s := range r.Steps {
			for _, e := range s.Edges {
				p, known := pieces[e.Piece]
				if !assert.True(t, known, "%s: %q", s.ID, e.Piece) {
					continue
				}
				assert.NotEmpty(t, e.Path, s.ID)
				for _, v := range e.Path {
					in := within(v, p.CutOutline) || within(v, p.TrimmedOutline)
					assert.True(t, in, "%s: %s at %d, %d", s.ID, e.Kind, v.X, v.Y)
				}
			}
			for _, l := range s.Lying {
				for _, f := range l.Folds {
					assert.Less(t, f.NM, max(l.Size.Width.NM, l.Size.Height.NM), s.ID)
				}
			}
		}
	})
}

func within(v answer.Vertex, outline []answer.Vertex) bool {
	const rounding = 2
	x1, y1, x2, y2 := int64(math.MaxInt64), int64(math.MaxInt64), int64(math.MinInt64), int64(math.MinInt64)
	for _, o := range outline {
		x1, y1, x2, y2 = min(x1, o.X), min(y1, o.Y), max(x2, o.X), max(y2, o.Y)
	}
	return v.X >= x1-rounding && v.X <= x2+rounding && v.Y >= y1-rounding && v.Y <= y2+rounding
}

// An oblong back is hemmed on the edges that come to lie in its middle, which are as long as it is high; from the wrong
// side the right piece lies at the left.
func TestTheHemmedEdgesOfAnOblongBack(t *testing.T) {
	in := length.Inch
	p := cushionOf(length.Inches, 24*in, 12*in)
	p.Cover.Ease = plan.Axes{}
	r := reckon.Reckon(p, nil)
	require.False(t, finding.List(r.Findings).Stopped(), r.Findings)
	hem := stepOf(t, r, "step.piece:back.role:hem")
	require.Len(t, hem.Lying, 2)
	for i, want := range []struct{ title, edge string }{{"right", "right"}, {"left", "left"}} {
		l := hem.Lying[i]
		assert.Equal(t, []any{want.title, want.edge, true}, []any{l.Title, l.Edge, l.Wrong})
		assert.Equal(t, "12½″", l.Along.Text)
		assert.Equal(t, []int64{int64(in / 2), int64(in)}, []int64{l.Folds[0].NM, l.Folds[1].NM})
		assert.Equal(t, l.Along, l.Size.Height)
	}
}

// The closing seam is as long as the way round the cover less what stays open.
func TestTheClosingSeamAsItIsMarked(t *testing.T) {
	in := length.Inch
	for kind, open := range map[plan.BackKind]length.Length{plan.Envelope: 0, plan.SewnShut: 8 * in} {
		p := cushionOf(length.Inches, 20*in, 16*in)
		p.Back.Kind, p.Back.Gap = kind, open
		r := reckon.Reckon(p, nil)
		require.False(t, finding.List(r.Findings).Stopped(), r.Findings)
		edges, back := stepOf(t, r, "step.role:close").Edges, piecesOf(r)["back"]
		require.Len(t, edges, 2)
		round := 2 * (back.Finished.Width.NM + back.Finished.Height.NM)
		assert.InDelta(t, float64(round-int64(open)), long(edges[0].Path), 4, kind)
		assert.Equal(t, answer.BeginEdge, edges[1].Kind)
	}
}

// Every edge of a hood that nothing is sewn to is finished at the bottom, and only those.
func TestTheOpenEdgesOfAHood(t *testing.T) {
	for kind, shell := range shells() {
		r := reckon.Reckon(shell, nil)
		sum := 0.0
		for _, s := range r.Steps {
			if s.About.Role != ref.DoBottom {
				continue
			}
			for _, e := range s.Edges {
				sum += long(e.Path) * float64(piecesOf(r)[e.Piece].Count)
			}
			o := shell.Settle().Object
			round := 2 * (o.Length + o.Depth + o.SticksOut.Length + o.SticksOut.Depth).Float()
			assert.InDelta(t, round, sum, 8, "%s: once round the bottom", kind)
		}
	}
}
