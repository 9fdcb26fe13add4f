package back_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/back"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// model is a back as a maker works it out on paper: how wide each of its pieces is cut, how far it reaches over the
// front when it is made up, what is left open and what is sewn. Common practice, docs/arithmetic.md §10.
type model struct {
	widths, reach []length.Length
	overlap       length.Length
	opening       length.Length
	sewn          length.Length
	marks         []back.Mark
	steps         []string
	small         [2]length.Length // of a tie or a tab
	stops         string
	notion        length.Length
}

const zipEnd = 3 * in / 4

// drawn is an order for a closure of any kind, from tiny to large.
func drawn(t *rapid.T) back.Order {
	eighths := func(name string, lo, hi int) length.Length {
		return (in / 8).Times(rapid.IntRange(lo, hi).Draw(t, name))
	}
	w, h := eighths("width", 64, 400), eighths("height", 64, 400)
	o := back.Order{Seam: eighths("seam", 1, 4), Step: in / 8, Style: length.Style{Unit: length.Inches},
		Pad: plan.Object{Kind: plan.Form}}
	if rapid.Bool().Draw(t, "flange") {
		o.Flange = eighths("flange width", 4, 16)
	}
	o.Finished, o.High = w, h
	kind := sum.Part
	if rapid.Bool().Draw(t, "measured") {
		kind = sum.Measured
	}
	o.Front = sum.Size{Width: sum.Of(kind, "w", w+2*o.Seam), Height: sum.Of(kind, "h", h+2*o.Seam)}
	o.Plan.Kind = rapid.SampledFrom([]plan.BackKind{plan.Envelope, plan.FoldedBack, plan.Lapped, plan.Buttoned,
		plan.Tied,
		plan.Zip, plan.SewnShut}).Draw(t, "kind")
	o.Plan.Seam, o.Plan.Flap = eighths("seam at the zip", 2, 6), eighths("flap", 0, 12)
	o.Plan.Band, o.Plan.Tape = eighths("band", 8, 16), eighths("tape", 4, 7)
	o.Plan.Button, o.Plan.Count = eighths("button", 2, 4), rapid.IntRange(0, 5).Draw(t, "count")
	o.Plan.Gap, o.Plan.Tab = eighths("gap", 16, 40), eighths("tab", 0, 10)
	if rapid.Bool().Draw(t, "in the side") {
		o.Plan.Place, o.Flange = plan.InTheSide, 0
	}
	for range rapid.IntRange(0, 2).Draw(t, "folds of the hem") {
		o.Plan.Hem = append(o.Plan.Hem, eighths("fold", 2, 6))
	}
	o.Plan.Lined = rapid.Bool().Draw(t, "lined")
	switch rapid.IntRange(0, 3).Draw(t, "overlap by") {
	case 0:
		overlap := eighths("overlap", 16, 60)
		o.Plan.Overlap = &overlap
	case 1:
		o.Plan.Share = float64(rapid.IntRange(15, 60).Draw(t, "share"))
	case 2:
		o.Plan.Depth = w.Div(2).Ceil(in/8) + eighths("deeper", 8, 24)
	}
	return o
}

// wanted overlap: as decided, or by its share, or a quarter, up to the ruler.
func wanted(o back.Order) length.Length {
	switch {
	case o.Plan.Overlap != nil:
		return *o.Plan.Overlap
	case o.Plan.Share > 0:
		return length.FromFloat(o.Plan.Share * o.Finished.Float() / 100).Ceil(in / 8)
	}
	return length.FromFloat(o.Finished.Float() / 4).Ceil(in / 8)
}

func modelOf(o back.Order) model {
	w, h := o.Front.Width.Total(), o.Front.Height.Total()
	up := func(l length.Length) length.Length { return l.Ceil(in / 8) }
	line := func(kind back.MarkKind, x length.Length) back.Mark {
		return back.Mark{Kind: kind, Box: back.Box{X: x, Height: h}}
	}
	twice := func(cut, takes length.Length) model {
		return model{widths: []length.Length{cut, cut}, reach: []length.Length{cut - takes, cut - takes},
			overlap: 2*(cut-takes) - w, opening: o.High}
	}
	var m model
	switch o.Plan.Kind {
	case plan.Envelope:
		hem := length.Length(0)
		for _, f := range o.Plan.Hem {
			hem += f
		}
		m = twice(up(w.Div(2)+wanted(o).Div(2)+hem), hem)
		if n := len(o.Plan.Hem); n > 0 {
			last := o.Plan.Hem[n-1]
			m.sewn, m.steps = 2*h, []string{"Hem the back pieces"}
			m.marks = []back.Mark{line(back.HemLine, m.reach[0]-last), line(back.HemLine, w-m.reach[0]+last)}
		}
	case plan.FoldedBack:
		deep := w.Div(2) + wanted(o).Div(2)
		if o.Plan.Depth > 0 {
			deep = o.Plan.Depth
		}
		deep = up(deep)
		m = twice(2*deep, deep)
		m.steps = []string{"Fold the back pieces"}
		m.marks = []back.Mark{line(back.FoldLine, deep), line(back.FoldLine, w-deep)}
		if o.Plan.Lined {
			m.sewn, m.steps = h, append(m.steps, "Join the lining")
		}
	case plan.Lapped, plan.Buttoned, plan.Tied:
		band := o.Plan.Band
		m = twice(up(w.Div(2)+band.Div(2)+2*band), 2*band)
		m.marks = []back.Mark{line(back.HemLine, m.reach[0]-band), line(back.HemLine, w-m.reach[0]+band)}
		m.sewn, m.steps = 2*h, []string{"Fold the bands"}
		n := o.Plan.Count
		if n == 0 {
			n = max(2, int(o.High/(9*in/2)))
		}
		for i := range n {
			y := (h-o.High)/2 + o.High.Times(2*i+1).Div(2*n)
			b := o.Plan.Button
			switch o.Plan.Kind {
			case plan.Buttoned:
				m.marks = append(m.marks, back.Mark{Kind: back.ButtonMark,
					Box: back.Box{X: w/2 - b/2, Y: y - b/2, Width: b, Height: b}})
			case plan.Tied:
				m.marks = append(m.marks, back.Mark{Kind: back.TieMark, Box: back.Box{X: w/2 - band, Y: y,
					Width: 2 * band}})
			}
		}
		switch o.Plan.Kind {
		case plan.Lapped:
			long := o.High - min(7*in/2, o.High/2)
			m.notion, m.sewn, m.steps = long, m.sewn+4*long, append(m.steps, "Sew the tape on")
			m.marks = append(m.marks, back.Mark{Kind: back.TapeBox, Box: back.Box{X: w/2 - o.Plan.Tape/2,
				Y:     (h - long) / 2,
				Width: o.Plan.Tape, Height: long}})
		case plan.Buttoned:
			m.steps = append(m.steps, "Buttonholes and buttons")
		default:
			m.sewn += (9 * in).Times(2 * n)
			m.small = [2]length.Length{up(9*in + 2*o.Seam), 2 * in}
			m.steps = append(m.steps, "Make the ties and sew them on")
		}
	case plan.Zip:
		if o.Plan.Place == plan.InTheSide {
			gap := o.Plan.Gap
			m = model{widths: []length.Length{up(w)}, reach: []length.Length{w}, opening: gap, sewn: 2 * gap,
				notion: gap + 2*zipEnd + in, steps: []string{"Sew the zip into the bottom seam"}}
			m.marks = []back.Mark{{Kind: back.ZipBox, Box: back.Box{X: (w - gap) / 2, Y: h - o.Seam - in/2, Width: gap,
				Height: in}}}
			if gap > o.Finished-2*zipEnd {
				m.stops = "zip-gap"
			}
			return m
		}
		half, flap := up(w.Div(2)+o.Plan.Seam), o.Plan.Flap
		open := o.High - 2*o.Flange - 2*zipEnd
		m = model{widths: []length.Length{half, up(w.Div(2) + o.Plan.Seam + 2*flap)}, opening: open,
			reach: []length.Length{w / 2, w/2 + flap}, sewn: 2 * h, notion: open + 2*zipEnd + in,
			steps: []string{"Sew the zip in"}}
		m.marks = []back.Mark{{Kind: back.ZipBox, Box: back.Box{X: w/2 - in/2, Y: (h-o.High)/2 + o.Flange + zipEnd,
			Width:  in,
			Height: open}}}
		if flap > 0 {
			m.marks, m.steps = append(m.marks, line(back.FoldLine, w/2-flap)), append(m.steps, "Pinch the flap")
			m.sewn += h // once more beside the zip, which holds the flap
		}
		if open <= 0 {
			m.stops = "zip-short"
		} else if flap > w/4 {
			m.stops = "out-of-range"
		}
	case plan.SewnShut:
		gap, tab := o.Plan.Gap, o.Plan.Tab
		m = model{widths: []length.Length{up(w)}, reach: []length.Length{w}, opening: gap}
		m.marks = []back.Mark{{Kind: back.GapLine, Box: back.Box{X: (w - gap) / 2, Y: h - o.Seam, Width: gap}}}
		if gap > o.Finished-2*plan.OffCorners(o.Finished) {
			m.stops = "gap"
		}
		if tab > 0 {
			m.sewn, m.steps = 2*gap, []string{"Sew the tabs on"}
			m.small = [2]length.Length{up(gap + 2*o.Seam), up(tab + 2*o.Seam)}
			m.marks = append(m.marks, back.Mark{Kind: back.HemLine, Box: back.Box{X: (w - gap) / 2, Y: h - o.Seam - tab,
				Width: gap}})
		}
	}
	return m
}

// Every closure against the model: pieces, how they lie, marks, what is sewn and bought, and the order of making.
func TestEveryClosureIsAsWorkedOutOnPaper(t *testing.T) {
	made := map[plan.BackKind]int{}
	rapid.Check(t, func(t *rapid.T) {
		o := drawn(t)
		m := modelOf(o)
		b, found := back.Build(o)
		if m.stops != "" {
			require.True(t, found.Stopped(), m.stops)
			assert.True(t, slices.ContainsFunc(codes(found), func(c string) bool { return c == m.stops }), codes(found))
			return
		}
		if slices.Contains(codes(found), "button-wide") || slices.Contains(codes(found), "tape-wide") {
			assert.True(t, o.Plan.Button+in/2 > o.Plan.Band || o.Plan.Tape >= o.Plan.Band)
			return
		}
		require.False(t, found.Stopped(), codes(found))
		made[o.Plan.Kind]++
		h := o.Front.Height.Total()
		var widths, reach []length.Length
		for _, p := range b.Panels {
			known := "as planned"
			if o.Front.Width[0].Kind == sum.Measured {
				known = "as measured"
			}
			if !p.Small {
				assert.Equal(t, h.Ceil(in/8), p.Size.Height.Total())
				assert.True(t, strings.HasSuffix(p.Size.Height[0].Name, known), p.Size.Height[0].Name)
			}
			if p.Small {
				assert.Equal(t, m.small, [2]length.Length{p.Size.Width.Total(), p.Size.Height.Total()})
			} else if p.Lining {
				assert.Equal(t, (o.Front.Width.Total().Div(2) + o.Seam).Ceil(in/8), p.Size.Width.Total())
			} else {
				for range p.Count {
					widths = append(widths, p.Size.Width.Total())
				}
			}
			assert.Equal(t, o.Plan.Kind == plan.Envelope && len(o.Plan.Hem) == 0, p.Selvedge)
		}
		for i, l := range b.Lies {
			reach = append(reach, l.Box.Width)
			assert.Equal(t, h, l.Box.Height)
			at := length.Length(0)
			if i == 1 {
				at = o.Front.Width.Total() - l.Box.Width
			}
			assert.Equal(t, [2]length.Length{at, 0}, [2]length.Length{l.Box.X, l.Box.Y})
		}
		assert.Equal(t, m.widths, widths)
		assert.Equal(t, m.reach, reach)
		assert.Equal(t, m.overlap, b.Overlap.Total())
		assert.Equal(t, m.opening, b.Opening.Total())
		assert.Equal(t, m.sewn, b.Sewn.Total())
		assert.Equal(t, m.marks, b.Marks)
		var steps []string
		for _, s := range b.Making {
			steps = append(steps, s.Title)
			assert.NotEmpty(t, s.Stack, s.Title)
		}
		assert.Equal(t, m.steps, steps)
		bought := length.Length(0)
		for _, n := range b.Notions {
			bought += n.Length.Total()
		}
		assert.Equal(t, m.notion, bought)
		keepsOff(t, o, b)
	})
	assert.Len(t, made, 7, "all of them")
}

func codes(found []finding.Finding) (out []string) {
	for _, f := range found {
		out = append(out, f.Code)
	}
	return out
}

// keepsOff: what nothing is sewn onto lies on the back, over its whole height, and holds the hem, the band or the zip.
func keepsOff(t *rapid.T, o back.Order, b back.Back) {
	w := o.Front.Width.Total()
	var want []back.Box
	box := func(x, wide length.Length) {
		want = append(want, back.Box{X: x, Width: wide, Height: o.Front.Height.Total()})
	}
	switch o.Plan.Kind {
	case plan.Envelope:
		if n := len(o.Plan.Hem); n > 0 {
			last := o.Plan.Hem[n-1]
			box(b.Lies[0].Box.Width-last, last)
			box(b.Lies[1].Box.X, last)
		}
	case plan.Lapped, plan.Buttoned, plan.Tied:
		box(b.Lies[1].Box.X, o.Plan.Band)
	case plan.Zip:
		if o.Plan.Place != plan.InTheSide {
			left := max(in/2, o.Plan.Flap)
			box(w/2-left, max(in, in/2+o.Plan.Flap))
		}
	}
	var is []back.Box
	for _, k := range b.Keep {
		is = append(is, k.Box)
	}
	assert.Equal(t, want, is)
}

// What a closure says when it is laid on and turned: where a zip is opened, which piece is the outer one, through what
// the cover is turned.
func TestWhatIsSaidWhenABackIsLaidOn(t *testing.T) {
	for _, c := range []struct {
		back         plan.Back
		laid, turned string
	}{
		{plan.Back{Kind: plan.Envelope}, "Lay the right piece (as you will see the finished back) on the front first", ""},
		{plan.Back{Kind: plan.FoldedBack}, "Folds to the middle. Lay the right piece", ""},
		{plan.Back{Kind: plan.FoldedBack, Lined: true}, "Over them the lining, right side down.", "gap in the lining"},
		{plan.Back{Kind: plan.Lapped}, "The bands lie on each other.", ""},
		{plan.Back{Kind: plan.Zip}, "Open the zip halfway", "Turn it through the zip."},
		{plan.Back{Kind: plan.Zip, Place: plan.InTheSide}, "The bottom is sewn already", "Turn it through the zip."},
		{plan.Back{Kind: plan.SewnShut}, "Leave a gap of 10⅝″ in the middle of the bottom.", "slip-stitch"},
		{plan.Back{Kind: plan.SewnShut, Tab: in}, "Leave a gap of 10⅝″", "turn the tabs inside"},
	} {
		b := built(t, closed(c.back))
		assert.Contains(t, b.Laid, c.laid)
		if c.turned == "" {
			assert.Empty(t, b.Turned)
		} else {
			assert.Contains(t, b.Turned, c.turned)
		}
	}
}

// Limits of each closure, each with the size that still suits.
func TestWhatDoesNotSuitABack(t *testing.T) {
	for code, c := range map[string]struct {
		of      func(*back.Order)
		about   string
		advises string
	}{
		"a flap too wide":    {func(o *back.Order) { o.Plan = plan.Back{Kind: plan.Zip, Flap: 35 * in / 8} }, "/back/flap", "up to 4¼″"},
		"a flap below 0":     {func(o *back.Order) { o.Plan = plan.Back{Kind: plan.Zip, Flap: -in} }, "/back/flap", "1″ hides a zip"},
		"a band too wide":    {func(o *back.Order) { o.Plan = plan.Back{Kind: plan.Lapped, Band: 6 * in} }, "/back/band", "up to 5⅝″; about 1″"},
		"no band":            {func(o *back.Order) { o.Plan = plan.Back{Kind: plan.Tied} }, "/back/band", "about 1″"},
		"no tape":            {func(o *back.Order) { o.Plan.Tape, o.Plan.Kind = 0, plan.Lapped }, "/back/tape", "narrower tape"},
		"no button":          {func(o *back.Order) { o.Plan.Button, o.Plan.Kind = 0, plan.Buttoned }, "/back/button", "smaller buttons"},
		"a gap too long":     {func(o *back.Order) { o.Plan = plan.Back{Kind: plan.SewnShut, Gap: 15 * in} }, "/back/gap", "Type up to"},
		"no gap":             {func(o *back.Order) { o.Plan = plan.Back{Kind: plan.SewnShut} }, "/back/gap", "Type up to"},
		"a tab that sticks":  {func(o *back.Order) { o.Plan = plan.Back{Kind: plan.SewnShut, Gap: 6 * in, Tab: 4 * in} }, "/back/tab", "up to 3 in"},
		"a zip all the side": {func(o *back.Order) { o.Plan = plan.Back{Kind: plan.Zip, Place: plan.InTheSide, Gap: 15 * in} }, "/back/gap", "up to 14½″"},
	} {
		t.Run(code, func(t *testing.T) {
			o := closed(plan.Back{Kind: plan.Lapped})
			c.of(&o)
			_, found := back.Build(o)
			require.Len(t, found, 1)
			assert.True(t, found.Stopped())
			assert.Equal(t, c.about, found[0].About)
			assert.Contains(t, found[0].Remedy, c.advises)
		})
	}
}
