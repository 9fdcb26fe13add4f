package fit_test

import (
	"math"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/fit"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
	"umschlag/core/work"
)

// A measured front on paper, whatever was measured and chosen: which ways are open, what each leaves, and what is said.
func TestAMeasuredFrontOnPaper(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		off := (in / 16).Times(rapid.IntRange(-40, 40).Filter(func(n int) bool { return n != 0 }).Draw(t, "off"))
		wish := rapid.SampledFrom([]plan.Remedy{"", plan.TrimOff, plan.Recut, plan.OtherSeam, plan.EaseIn, plan.Follow,
			plan.AcceptSize}).Draw(t, "wish")
		up, cut, sure := rapid.Bool().Draw(t, "up"), rapid.Bool().Draw(t, "cut"), rapid.Bool().Draw(t, "sure")
		m := plan.Measured{Gate: ref.FrontSewn.String(), Width: planned + off, Across: wish, Sure: sure}
		if up {
			m.Width, m.Height, m.Across, m.Up = 0, planned+off, "", wish
		}
		o := order(m)
		if cut {
			o.Plan.Progress.Done = []string{"step.piece:back.role:cut-back"}
		}
		p, found := fit.Front(o)
		require.True(t, p.Measured)
		seam, large := in/4, off.Abs().Float()
		open := map[plan.Remedy]bool{plan.TrimOff: off > 0, plan.Recut: false, plan.OtherSeam: seam+off/2 >= in/8,
			plan.EaseIn: cut && large <= planned.Float()/100, plan.Follow: true}
		if wish == plan.AcceptSize {
			wish = plan.Follow // another word for it
		}
		taken := plan.Follow
		if open[wish] {
			taken = wish
		}
		var codes []plan.Remedy
		for _, r := range p.Remedies {
			codes = append(codes, r.Code)
			assert.Equal(t, r.Code == taken, r.Chosen, r.Code)
			assert.Equal(t, "/measured/0/"+map[bool]string{true: "up", false: "across"}[up], r.About)
		}
		want := []plan.Remedy{plan.OtherSeam, plan.TrimOff, plan.EaseIn, plan.Follow}
		if !cut && off < 0 { // nothing is spoiled yet
			want = []plan.Remedy{plan.Follow, plan.OtherSeam}
		}
		want = slices.DeleteFunc(want, func(r plan.Remedy) bool { return !open[r] })
		assert.Equal(t, want, codes)

		trimmed, backed, closing := planned+off, planned+off, seam
		switch taken {
		case plan.TrimOff:
			trimmed, backed = planned, planned
		case plan.EaseIn:
			backed = planned
		case plan.OtherSeam:
			closing = seam + off/2
		}
		is := func(s sum.Size) length.Length {
			other := s.Height
			if up {
				s.Width, other = s.Height, s.Width
			}
			assert.Equal(t, planned, other.Total(), "the other direction stays")
			return s.Width.Total()
		}
		i := map[bool]int{true: 1}[up]
		assert.Equal(t, []length.Length{trimmed, backed, closing, seam}, []length.Length{is(p.Trimmed), is(p.Back),
			p.Closing[i], p.Closing[1-i]})
		sewn := p.Sewn()
		assert.Equal(t, [2]length.Length{p.Back.Width.Total() - 2*p.Closing[0], p.Back.Height.Total() - 2*p.Closing[1]},
			[2]length.Length{sewn.Width.Total(), sewn.Height.Total()})

		var says []string
		for _, f := range found {
			says = append(says, f.Code)
		}
		var expected []string
		if large > planned.Float()/10 && !sure {
			expected = append(expected, "measured-slip")
		}
		expected = append(expected, map[bool]string{true: "front-short", false: "front-over"}[off < 0])
		if wish != "" && wish != taken {
			expected = append(expected, "remedy-closed")
		}
		assert.Equal(t, expected, says)
		level := found[slices.Index(says, expected[len(expected)-1])].Level
		if len(expected) > 0 && !slices.Contains(says, "remedy-closed") {
			assert.Equal(t, wish != "", level == finding.Note, "what was decided is a note")
		}
	})
}

// The measured front on its seam line: measured less what closes it, where it was measured; planned where it was not.
func TestTheSeamLineOfAMeasuredFront(t *testing.T) {
	o := order(at(ref.FrontSewn.String(), planned-in/8, 0))
	o.Planned.Height = sum.Of(sum.Seam, "seam", in/4).Plus(sum.Part, "h", 19*in).Plus(sum.Seam, "seam", in/4)
	p, _ := fit.Front(o)
	whole := sum.Size{Width: sum.Of(sum.Part, "w", 19*in), Height: sum.Of(sum.Part, "h", 19*in)}
	finished := p.Finished(whole)
	assert.Equal(t, planned-in/8-in/2, finished.Width.Total())
	assert.Equal(t, sum.Of(sum.Part, "h", 19*in), finished.Height)
	unmeasured, _ := fit.Front(order())
	assert.Equal(t, whole, unmeasured.Finished(whole))
}

// What each way says has the figures of the difference.
func TestWhatTheWaysSay(t *testing.T) {
	texts := func(off length.Length) map[plan.Remedy]string {
		o := order(at(ref.FrontSewn.String(), planned+off, planned))
		o.Plan.Progress.Done = []string{"step.piece:back.role:cut-back"}
		p, _ := fit.Front(o)
		out := map[plan.Remedy]string{}
		for _, r := range p.Remedies {
			out[r.Code] = r.Text
		}
		return out
	}
	over, short := texts(in/8), texts(-in/8)
	assert.NotContains(t, over[plan.OtherSeam], "sewn twice")
	assert.Contains(t, short[plan.OtherSeam], "sewn twice", "a narrow seam is no usual one")
	for way, said := range map[plan.Remedy][2]string{
		plan.TrimOff:   {"¹⁄₁₆″ off each side", ""},
		plan.OtherSeam: {"at ⁵⁄₁₆″ instead of ¼″", "at ³⁄₁₆″ instead of ¼″"},
		plan.EaseIn:    {"⅛″ in over 19½″ of the back", "take 1%, here ≈³⁄₁₆″"},
		plan.Follow:    {"Cut another back to the measured front: 19⅝″ across", "19⅜″ across"},
	} {
		if way == plan.Follow || way == plan.EaseIn {
			assert.Contains(t, over[way], "finishes 19⅛″ across, ⅞″ smaller than the insert")
			assert.Contains(t, short[way], "finishes 18⅞″ across, 1⅛″ smaller")
		}
		assert.Contains(t, over[way], said[0])
		assert.Contains(t, short[way], said[1])
	}
}

// Both sides of a seam: alike to a ten-thousandth of a millimetre, eased to one percent, off beyond.
func TestHowSidesFit(t *testing.T) {
	for off, want := range map[length.Length]string{0: "alike", 100: "alike", -100: "alike", 101: "eases",
		in / 10:  "eases",
		-in / 10: "eases", in/10 + 1: "off", -in: "off"} {
		assert.Equal(t, want, fit.Of(10*in, 10*in-off), off)
	}
	join := func(judged bool, b length.Length) cover.Cover {
		return cover.Cover{Pieces: []cover.Piece{{Name: "a", Title: "Band"}, {Name: "b", Title: "Left end"}},
			Joins: []cover.Join{{Title: "t", Between: [2]string{"a", "b"}, Judged: judged,
				Lengths: [2]sum.Sum{sum.Of(sum.Part, "", 10*in), sum.Of(sum.Part, "", b)}}}}
	}
	style := length.Style{}
	assert.Empty(t, fit.Joins(join(false, 10*in+in/10), style))
	assert.Empty(t, fit.Joins(join(true, 12*in), style), "a band that is cut is judged by itself")
	found := fit.Joins(join(false, 12*in), style)
	require.Len(t, found, 1)
	assert.Equal(t, "t: the band is 10″ along the seam and the left end is 12″.", found[0].Text)
}

// A row that is off by a sixteenth or more is put down to its seams make, each taking both its sides.
func TestRowsOnPaper(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		pieces := rapid.IntRange(1, 6).Draw(t, "pieces")
		off := (in / 64).Times(rapid.IntRange(-20, 20).Draw(t, "off"))
		long := rapid.SampledFrom([]length.Length{0, 20 * in}).Draw(t, "planned")
		b := front.Band{Number: 7, No: 2, Pieces: pieces, Length: long}
		p := plan.Plan{Measured: []plan.Measured{{Gate: "gate.other", Width: in}, {Gate: ref.Row("", 2).String(),
			Width: 20*in + off}}}
		found := fit.Rows(p, []front.Band{b})
		if long == 0 || off.Abs() < in/16 || pieces < 2 {
			assert.Empty(t, found)
			return
		}
		require.Len(t, found, 1)
		assert.Equal(t, []string{map[bool]string{true: "row-short", false: "row-long"}[off < 0], "/measured/1/width"},
			[]string{found[0].Code, found[0].About})
		each := length.Style{}.Text(off.Abs().Div(2 * (pieces - 1)))
		assert.Contains(t, found[0].Text, "each "+each+" too "+map[bool]string{true: "wide", false: "narrow"}[off < 0])
		assert.True(t, strings.HasPrefix(found[0].Text, "Row 7 is "+length.Style{}.Text(off.Abs())), found[0].Text)
	})
	assert.Empty(t, fit.Rows(plan.Plan{}, []front.Band{{No: 2, Pieces: 3, Length: in}}))
}

// An overlap is judged when it is more than a quarter of an inch short, the second edge of a join beyond one percent.
func TestEdgesOnPaper(t *testing.T) {
	join := ref.Ref{Kind: ref.Gate, Role: ref.DoJoin, No: 1}
	judge := func(gate ref.Ref, off length.Length) []string {
		p := plan.Plan{Measured: []plan.Measured{{Gate: gate.String(), Width: 20*in + off}}}
		s := work.Step{Gate: gate, Expect: sum.Size{Width: sum.Of(sum.Part, "", 20*in)}}
		var out []string
		for _, f := range fit.Edge(p, s) {
			out = append(out, f.Code)
			assert.Contains(t, f.Text, length.Style{}.Text(off.Abs()))
			assert.Equal(t, "/measured/0/width", f.About)
		}
		return out
	}
	assert.Empty(t, judge(ref.BackOverlap, -in/4))
	assert.Equal(t, []string{"overlap-short"}, judge(ref.BackOverlap, -in/4-1000))
	assert.Empty(t, judge(ref.BackOverlap, 5*in), "more is no matter")
	assert.Empty(t, judge(join, in/5))
	assert.Equal(t, []string{"edge-long"}, judge(join, in/4))
	assert.Equal(t, []string{"edge-short"}, judge(join, -in/4))
	unmeasured := work.Step{Gate: join, Expect: sum.Size{Width: sum.Of(sum.Part, "", 20*in)}}
	assert.Empty(t, fit.Edge(plan.Plan{}, unmeasured))
}

// What nothing waits for is named, with a gate that something does.
func TestMeasurementsNothingWaitsFor(t *testing.T) {
	join := ref.Ref{Kind: ref.Gate, Role: ref.DoJoin, No: 1}
	p := plan.Plan{Measured: []plan.Measured{{Gate: join.String()}, {Gate: ref.FrontQuilted.String()},
		{Gate: ref.PadFilled.String()}, {Gate: "gate.lid"}}}
	found := fit.Unknown(p, []work.Step{{}, {Gate: join}})
	require.Len(t, found, 1)
	assert.Equal(t, "/measured/3/gate", found[0].About)
	assert.Contains(t, found[0].Remedy, join.String())
	found = fit.Unknown(p, nil)
	require.Len(t, found, 2)
	assert.Contains(t, found[0].Remedy, ref.FrontQuilted.String())
	assert.Empty(t, fit.Unknown(plan.Plan{}, nil))
}

// A panel of any shape that was drawn, measured and laid out again: each cut lies as far inside its edges as on the
// drawing.
func TestAPanelIsTrimmedAsDrawn(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		u := in.Float()
		wobble := func(name string) float64 { return rapid.Float64Range(-0.3, 0.3).Draw(t, name) * u }
		q := [4][2]float64{{wobble("a") - 10*u, wobble("b") - 8*u}, {wobble("c") + 10*u, wobble("d") - 8*u},
			{wobble("e") + 10*u, wobble("f") + 8*u}, {wobble("g") - 10*u, wobble("h") + 8*u}}
		side := func(i, j int) length.Length {
			return length.FromFloat(math.Hypot(q[i][0]-q[j][0], q[i][1]-q[j][1]))
		}
		m := plan.Measured{Sides: &plan.Sides{Top: side(0, 1), Right: side(1, 2), Bottom: side(2, 3), Left: side(3, 0)},
			Diagonals: &plan.Diagonals{Falling: side(0, 2), Rising: side(1, 3)}}
		w, h := 19*u, 15*u
		g, found := fit.Trim(plan.Plan{}, m, "/measured/0", sum.Size{Width: sum.Of(sum.Part, "", length.FromFloat(w)),
			Height: sum.Of(sum.Part, "", length.FromFloat(h))})
		assert.Empty(t, found)
		assert.True(t, g.Fits)
		assert.Less(t, g.Off, length.Length(2000))
		assert.Equal(t, (side(0, 2) - side(1, 3)).Abs(), g.Skew)
		// The middle, and the direction of the mean of both pairs of edges.
		mx, my := (q[0][0]+q[1][0]+q[2][0]+q[3][0])/4, (q[0][1]+q[1][1]+q[2][1]+q[3][1])/4
		lx := (q[1][0] - q[0][0]) + (q[2][0] - q[3][0]) + (q[3][1] - q[0][1]) + (q[2][1] - q[1][1])
		ly := (q[1][1] - q[0][1]) + (q[2][1] - q[3][1]) - (q[3][0] - q[0][0]) - (q[2][0] - q[1][0])
		turn := -math.Atan2(ly, lx)
		at := func(i int) (x, y float64) {
			dx, dy := q[i][0]-mx, q[i][1]-my
			return dx*math.Cos(turn) - dy*math.Sin(turn), dx*math.Sin(turn) + dy*math.Cos(turn)
		}
		x0, y0 := at(0)
		x1, y1 := at(1)
		x2, y2 := at(2)
		x3, y3 := at(3)
		for i, pair := range [][2][2]float64{{{-y0 - h/2, -y1 - h/2}, {g.Top[0].Float(), g.Top[1].Float()}},
			{{x1 - w/2, x2 - w/2}, {g.Right[0].Float(), g.Right[1].Float()}},
			{{y3 - h/2, y2 - h/2}, {g.Bottom[0].Float(), g.Bottom[1].Float()}},
			{{-x0 - w/2, -x3 - w/2}, {g.Left[0].Float(), g.Left[1].Float()}}} {
			assert.InDelta(t, pair[0][0], pair[1][0], 2000, i)
			assert.InDelta(t, pair[0][1], pair[1][1], 2000, i)
		}
	})
}
