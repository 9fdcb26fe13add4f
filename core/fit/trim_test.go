package fit_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/fit"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
	"umschlag/core/work"
)

type xy struct{ x, y float64 }

// measured is a panel by its corners, clockwise from the upper left, as a tape sees it.
func measured(q [4]xy) plan.Measured {
	far := func(a, b xy) length.Length { return length.FromFloat(math.Hypot(a.x-b.x, a.y-b.y) * in.Float()) }
	return plan.Measured{Gate: "gate.piece:front.role:untrimmed",
		Sides: &plan.Sides{Top: far(q[0], q[1]), Right: far(q[1], q[2]), Bottom: far(q[2], q[3]),
			Left: far(q[3], q[0])},
		Diagonals: &plan.Diagonals{Falling: far(q[0], q[2]), Rising: far(q[1], q[3])}}
}

func trim(m plan.Measured, w, h length.Length) (fit.Guide, []string) {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	g, found := fit.Trim(p, m, "/measured/0",
		sum.Size{Width: sum.Of(sum.Part, "w", w), Height: sum.Of(sum.Part, "h", h)})
	var codes []string
	for _, f := range found {
		codes = append(codes, f.Code)
	}
	return g, codes
}

func TestASquarePanelIsTrimmedEvenly(t *testing.T) {
	g, found := trim(measured([4]xy{{0, 0}, {20.5, 0}, {20.5, 20}, {0, 20}}), 39*in/2, 39*in/2)
	assert.Empty(t, found)
	assert.True(t, g.Fits)
	for _, two := range [][2]length.Length{g.Left, g.Right} {
		assert.InDelta(t, (in / 2).Float(), two[0].Float(), 100)
		assert.InDelta(t, (in / 2).Float(), two[1].Float(), 100)
	}
	assert.InDelta(t, (in / 4).Float(), g.Top[0].Float(), 100)
	assert.Zero(t, g.Skew)
}

func TestAPanelOutOfSquare(t *testing.T) {
	q := [4]xy{{0, 0}, {20.5, 0.25}, {20.25, 20.5}, {-0.25, 20.25}}
	g, found := trim(measured(q), 19*in, 19*in)
	assert.Empty(t, found)
	assert.True(t, g.Fits)
	assert.Positive(t, g.Skew)
	assert.NotEqual(t, g.Top[0], g.Top[1], "the ruler lies at a slant to the edge")
	_, found = trim(measured(q), 21*in, 19*in)
	assert.Equal(t, []string{"trim-short"}, found)
	wrong := measured(q)
	wrong.Sides.Bottom += in / 2
	_, found = trim(wrong, 19*in, 19*in)
	assert.Equal(t, []string{"trim-off"}, found)
	wrong.Diagonals.Falling = 60 * in
	_, found = trim(wrong, 19*in, 19*in)
	assert.Equal(t, []string{"trim-impossible"}, found)
	g, found = trim(plan.Measured{Sides: &plan.Sides{Top: 20 * in}}, 19*in, 19*in)
	assert.Empty(t, found)
	assert.Equal(t, fit.Guide{}, g, "nothing before all six are there")
}

// However a panel is pulled out of shape, what is cut off at both ends of every edge leaves
// the planned size: checked by laying the cut corners out again.
func TestWhatIsLeftIsThePlannedSize(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		pull := func(name string) float64 { return rapid.Float64Range(-0.4, 0.4).Draw(t, name) }
		q := [4]xy{{0, 0}, {21 + pull("bx"), 0}, {21 + pull("cx"), 18 + pull("cy")}, {pull("dx"), 18 + pull("dy")}}
		g, _ := trim(measured(q), 19*in, 16*in)
		require.Less(t, g.Off, in/1000, "the six agree")
		inch := func(l length.Length) float64 { return l.Float() / in.Float() }
		// The mean breadth along the ruler's directions is the planned one plus what falls off.
		wide := (math.Hypot(q[1].x-q[0].x, q[1].y-q[0].y) + math.Hypot(q[2].x-q[3].x, q[2].y-q[3].y)) / 2
		high := (math.Hypot(q[3].x-q[0].x, q[3].y-q[0].y) + math.Hypot(q[2].x-q[1].x, q[2].y-q[1].y)) / 2
		off := (inch(g.Left[0]) + inch(g.Left[1]) + inch(g.Right[0]) + inch(g.Right[1])) / 2
		assert.InDelta(t, wide, 19+off, 0.03)
		off = (inch(g.Top[0]) + inch(g.Top[1]) + inch(g.Bottom[0]) + inch(g.Bottom[1])) / 2
		assert.InDelta(t, high, 16+off, 0.03)
	})
}

func TestTheChosenRemedyDecidesWhatFollows(t *testing.T) {
	short := planned - in/8
	for remedy, c := range map[plan.Remedy]struct{ trimmed, back, seam length.Length }{
		"":              {short, short, in / 4},
		plan.Follow:     {short, short, in / 4},
		plan.AcceptSize: {short, short, in / 4},
		plan.OtherSeam:  {short, short, in/4 - in/16},
		plan.EaseIn:     {short, planned, in / 4},
	} {
		m := at("gate.piece:front.role:sewn", short, planned)
		m.Across = remedy
		o := order(m)
		o.Plan.Progress.Done = []string{"step.piece:back.role:cut-back"}
		p, found := fit.Front(o)
		assert.Equal(t, []length.Length{c.trimmed, c.back, c.seam},
			[]length.Length{p.Trimmed.Width.Total(), p.Back.Width.Total(), p.Closing[0]}, remedy)
		assert.Len(t, found, 1, remedy)
	}
	m := at("gate.piece:front.role:sewn", planned+in/4, planned)
	m.Across = plan.TrimOff
	p, _ := fit.Front(order(m))
	assert.Equal(t, planned, p.Trimmed.Width.Total())
	m = at("gate.piece:front.role:sewn", planned-in, planned)
	m.Across = plan.EaseIn
	p, found := fit.Front(order(m))
	assert.Equal(t, planned-in, p.Back.Width.Total(), "an inch does not ease in: what is cut follows")
	assert.Equal(t, "remedy-closed", found[len(found)-1].Code)
}

func TestOtherGatesAreJudged(t *testing.T) {
	join := func(piece string) ref.Ref { return ref.Seam([2]ref.Seat{{Piece: piece}, {Piece: "end"}}) }
	gate := func(at ref.Ref, planned, got length.Length) []string {
		p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
		p.Measured = []plan.Measured{{Gate: at.String(), Width: got}}
		var codes []string
		for _, f := range fit.Edge(p, work.Step{Gate: at, Expect: sum.Size{Width: sum.Of(sum.Part, "seam", planned)}}) {
			codes = append(codes, f.Code)
		}
		return codes
	}
	assert.Empty(t, gate(join("main"), 40*in, 40*in+in/4), "that eases in")
	assert.Equal(t, []string{"edge-long"}, gate(join("main"), 40*in, 41*in))
	assert.Equal(t, []string{"edge-short"}, gate(join("band"), 40*in, 39*in))
	assert.Equal(t, []string{"overlap-short"}, gate(ref.BackOverlap, 5*in, 4*in))
	assert.Empty(t, gate(ref.BackOverlap, 5*in, 6*in))
}
