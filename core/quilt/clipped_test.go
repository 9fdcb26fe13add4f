package quilt_test

import (
	"math"
	"slices"
	"testing"

	"github.com/paulmach/orb"
	"github.com/paulmach/orb/clip"
	"github.com/paulmach/orb/planar"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/quilt"
)

// top is what is quilted of order.
var top = orb.Bound{Min: orb.Point{-in.Float(), -in.Float()}, Max: orb.Point{(13 * in).Float(), (11 * in).Float()}}

// expected are the lines of a family, clipped by a general-purpose geometry library (orb): those through the middle
// first, then to both sides in turn, with their distance from the middle.
func expected(f plan.LineFamily, pair length.Length) (out []orb.LineString) {
	sin, cos := math.Sincos(f.Angle * math.Pi / 180)
	one := func(off float64) {
		at := orb.Point{(6 * in).Float() + sin*off, (5 * in).Float() + cos*off}
		far := (100 * in).Float()
		line := orb.LineString{{at[0] - cos*far, at[1] + sin*far}, {at[0] + cos*far, at[1] - sin*far}}
		for _, part := range clip.LineString(top, line) {
			if planar.Length(part) > 1e6 {
				out = append(out, part)
			}
		}
	}
	both := func(off float64) {
		if pair <= 0 || pair >= f.Pitch {
			one(off)
			return
		}
		one(off - pair.Float()/2)
		one(off + pair.Float()/2)
	}
	both(f.Shift.Float())
	for k := 1.0; k < 400; k++ {
		both(f.Shift.Float() + k*f.Pitch.Float())
		both(f.Shift.Float() - k*f.Pitch.Float())
	}
	return out
}

// Every line of every family, from the middle outwards, every other one from its other end.
func TestFamiliesAreWhatAGeometryLibraryClips(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		size := func(name string, lo, hi int) length.Length {
			return (in / 8).Times(rapid.IntRange(lo, hi).Draw(t,
				name))
		}
		f := plan.LineFamily{Pitch: size("pitch", 3, 40), Shift: size("shift", -9, 9),
			Angle: float64(rapid.IntRange(-90, 180).Draw(t, "angle"))}
		q := &plan.Quilting{Lines: []plan.LineFamily{f}, Pair: size("pair", 0, 20)}
		p := quilt.Of(order(q))
		want := expected(f, q.Pair)
		require.Len(t, p.Lines, len(want))
		total := 0.0
		for i, l := range p.Lines {
			a, b := l.Points[0], l.Points[1]
			if i%2 == 1 {
				a, b = b, a
			}
			for k, got := range []orb.Point{{a.X, a.Y}, {b.X, b.Y}} {
				assert.InDelta(t, want[i][k][0], got[0], 50)
				assert.InDelta(t, want[i][k][1], got[1], 50)
			}
			assert.Equal(t, []any{quilt.Straight, 0, false}, []any{l.Kind, l.Family, l.Closed})
			assert.InDelta(t, planar.Length(want[i]), l.Length.Float(), 100)
			total += planar.Length(want[i])
		}
		assert.InDelta(t, total, p.Seam.Float(), 1000)
		takes(t, p)
	})
}

// takes: thread, bobbins and minutes of what is stitched, from memory of sewing-thread handbooks and common practice:
// 2½ of thread for each length of seam, of which the bobbin gives three of five less a fifth and holds 45 m; 90 cm a
// minute, and 20 s for each line.
func takes(t require.TestingT, p quilt.Pattern) {
	metres := p.Seam.Float() / 1e9
	assert.InDelta(t, 2.5*metres, p.Thread.Float()/1e9, 1e-6)
	assert.Equal(t, int(math.Ceil(1.2*metres/45)), p.Bobbins)
	assert.Equal(t, int(math.Ceil(metres/0.9+float64(len(p.Lines))/3)), p.Minutes)
}

// A serpentine swings out by its height to both sides of its line, and back to it every two heights.
func TestSerpentinesSwing(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f := plan.LineFamily{Pitch: 3 * in, Shift: in / 16, Angle: float64(rapid.IntRange(0, 180).Draw(t, "angle")),
			Wave: (in / 8).Times(rapid.IntRange(1, 12).Draw(t, "height"))}
		straight := expected(plan.LineFamily{Pitch: f.Pitch, Shift: f.Shift, Angle: f.Angle}, 0)
		p := quilt.Of(order(&plan.Quilting{Lines: []plan.LineFamily{f}}))
		require.Len(t, p.Lines, len(straight))
		for i, l := range p.Lines {
			points := slices.Clone(l.Points)
			if i%2 == 1 {
				slices.Reverse(points)
			}
			a, b := straight[i][0], straight[i][1]
			long, height := planar.Distance(a, b), f.Wave.Float()
			assert.InDelta(t, max(8, long/(height/2))+1, float64(len(points)), 1.001, "two points to each height")
			along := orb.Point{(b[0] - a[0]) / long, (b[1] - a[1]) / long}
			for k, at := range points {
				x, y := at.X-a[0], at.Y-a[1]
				s, off := x*along[0]+y*along[1], x*-along[1]+y*along[0]
				assert.InDelta(t, long*float64(k)/float64(len(points)-1), s, 200)
				assert.InDelta(t, height*math.Sin(math.Pi/2*s/height), off, 200)
			}
			assert.Equal(t, quilt.Wave, l.Kind)
			assert.GreaterOrEqual(t, l.Length.Float(), long-1)
		}
	})
}

// Rounds: as many as keep half their distance from the middle, each that much further in.
func TestRoundsKeepTheirDistance(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		pitch := (in / 8).Times(rapid.IntRange(2, 60).Draw(t, "pitch"))
		p := quilt.Of(order(&plan.Quilting{Echo: pitch}))
		var want []length.Length
		for d := pitch; 2*d < 10*in-pitch/2; d += pitch {
			want = append(want, 2*(12*in-2*d)+2*(10*in-2*d))
		}
		var is []length.Length
		for i, l := range p.Lines {
			is = append(is, l.Length)
			d := float64(i+1) * pitch.Float()
			assert.InDelta(t, d, l.Points[0].X, 1)
			assert.InDelta(t, d, l.Points[0].Y, 1)
			assert.Equal(t, []any{quilt.Echo, -1, true}, []any{l.Kind, l.Family, l.Closed})
		}
		assert.Equal(t, want, is)
		takes(t, p)
	})
}

// Free motion fills the whole top: rows all over its height, alternately from either side, none outside its row.
func TestFreeMotionFillsTheTop(t *testing.T) {
	for _, pitch := range []length.Length{in / 4, in / 2, in, 20 * in} {
		p := quilt.Of(order(&plan.Quilting{Free: pitch}))
		require.Len(t, p.Lines, 1)
		rows := max(1, int(math.Round(12*in.Float()/(2*pitch.Float()))))
		points := p.Lines[0].Points
		each := len(points) / rows
		assert.Equal(t, max(12, int(math.Ceil(14*in.Float()/pitch.Float()))*8)+1, each)
		high := 12 * in.Float() / float64(rows)
		for i, at := range points {
			row := i / each
			low := -in.Float() + high*float64(row)
			assert.True(t, at.Y >= low && at.Y <= low+high)
			assert.True(t, at.X >= -in.Float()-pitch.Float()/3 && at.X <= (13*in).Float()+pitch.Float()/3)
			if i%each == 0 {
				x := []float64{-in.Float(), (13 * in).Float()}[row%2]
				assert.InDelta(t, x, at.X, pitch.Float()/3+1)
			}
			k := i % each
			if row%2 == 1 {
				k = each - 1 - k
			}
			along := 14 * in.Float() * float64(k) / float64(each-1)
			turn := math.Pi * along / pitch.Float()
			assert.InDelta(t, low+high/2+0.38*high*math.Sin(turn), at.Y, 1)
			assert.InDelta(t, -in.Float()+along+pitch.Float()/3*math.Sin(2*turn), at.X, 1)
		}
		takes(t, p)
	}
}

// Stretches of seams that touch in one line are one line, whichever way and in whatever order they are told; those
// that meet at a corner, or lie side by side, are not.
func TestStretchesOfOneLine(t *testing.T) {
	seam := func(x1, y1, x2, y2 float64) front.Seam {
		u := in.Float()
		return front.Seam{Kind: front.Between, X1: x1 * u, Y1: y1 * u, X2: x2 * u, Y2: y2 * u}
	}
	for name, c := range map[string]struct {
		seams []front.Seam
		lines int
		long  float64
	}{
		"end to end":          {[]front.Seam{seam(0, 2, 3, 2), seam(3, 2, 8, 2)}, 1, 8},
		"from behind":         {[]front.Seam{seam(3, 2, 8, 2), seam(0, 2, 3, 2)}, 1, 8},
		"turned round":        {[]front.Seam{seam(3, 2, 0, 2), seam(8, 2, 3, 2)}, 1, 8},
		"towards each other":  {[]front.Seam{seam(0, 2, 3, 2), seam(8, 2, 3, 2)}, 1, 8},
		"slantwise":           {[]front.Seam{seam(0, 0, 3, 4), seam(3, 4, 6, 8)}, 1, 10},
		"round a corner":      {[]front.Seam{seam(0, 2, 3, 2), seam(3, 2, 3, 8)}, 2, 9},
		"a little slantwise":  {[]front.Seam{seam(0, 2, 3, 2), seam(3, 2, 8, 2.01)}, 2, 8.00001},
		"side by side":        {[]front.Seam{seam(0, 2, 3, 2), seam(0, 3, 3, 3)}, 2, 6},
		"with a gap":          {[]front.Seam{seam(0, 2, 3, 2), seam(3.1, 2, 8, 2)}, 2, 7.9},
		"three, out of order": {[]front.Seam{seam(0, 2, 3, 2), seam(3, 2, 5, 2), seam(9, 2, 5, 2)}, 1, 9},
		"upright":             {[]front.Seam{seam(4, 1, 4, 3), seam(4, 9, 4, 3)}, 1, 8},
	} {
		t.Run(name, func(t *testing.T) {
			p := quilt.Of(order(&plan.Quilting{Ditch: true}, c.seams...))
			assert.Len(t, p.Lines, c.lines)
			assert.InDelta(t, c.long, p.Seam.Float()/in.Float(), 1e-4)
			for _, l := range p.Lines {
				assert.Equal(t, []any{quilt.Ditch, -1}, []any{l.Kind, l.Family})
			}
		})
	}
}

// Lines that ride beside a seam, at any angle, single or in pairs: told with the shift that brings them into it.
func TestLinesBesideASeamAtAnyAngle(t *testing.T) {
	told := 0
	rapid.Check(t, func(t *rapid.T) {
		angle := float64(rapid.IntRange(0, 179).Draw(t, "angle"))
		sin, cos := math.Sincos(angle * math.Pi / 180)
		f := plan.LineFamily{Pitch: in.Times(rapid.IntRange(1, 4).Draw(t, "pitch")), Angle: angle}
		pair := (in / 2).Times(rapid.IntRange(0, 1).Draw(t, "pair"))
		off := length.Millimetre.Times(rapid.IntRange(-12, 12).Draw(t, "off")) / 2
		at := f.Pitch.Float()*float64(rapid.IntRange(-1, 1).Draw(t, "line")) + off.Float()
		if pair > 0 && pair < f.Pitch {
			at += pair.Float() / 2 * float64(rapid.SampledFrom([]int{-1, 1}).Draw(t, "of the pair"))
		}
		x, y := (6*in).Float()+sin*at, (5*in).Float()+cos*at
		seam := front.Seam{Kind: front.Between, X1: x - cos*1e8, Y1: y + sin*1e8, X2: x + cos*1e8, Y2: y - sin*1e8}
		near := quilt.Of(order(&plan.Quilting{Lines: []plan.LineFamily{f}, Pair: pair}, seam)).Near
		rides := off.Abs() > length.Millimetre && off.Abs() < in/8
		if !rides {
			assert.Empty(t, near, "%v", off)
			return
		}
		told++
		require.Len(t, near, 1)
		assert.InDelta(t, off.Abs().Float(), near[0].Off.Float(), 2)
		assert.InDelta(t, off.Float(), near[0].Shift.Float(), 2)
		waved := f
		waved.Wave = in
		assert.Empty(t, quilt.Of(order(&plan.Quilting{Lines: []plan.LineFamily{waved}, Pair: pair}, seam)).Near)
	})
	assert.Greater(t, told, 10)
}

// Ditches hold the layers, so they come first; echoes next, then families in their order, free motion last.
func TestTheOrderOfQuilting(t *testing.T) {
	q := lines(4*in, 90, 0)
	q.Ditch, q.Echo, q.Free = true, 2*in, in
	var kinds []quilt.Kind
	var families []int
	for _, l := range quilt.Of(order(q, front.Seam{Kind: front.Between, X2: 1e9})).Lines {
		kinds, families = append(kinds, l.Kind), append(families, l.Family)
	}
	assert.Equal(t, []quilt.Kind{quilt.Ditch, quilt.Echo, quilt.Straight, quilt.Free}, slices.Compact(kinds))
	assert.Equal(t, []int{-1, 0, 1, -1}, slices.Compact(families))
}
