package plan_test

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// cushion is a plan nothing is wrong with.
func cushion() plan.Plan {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Title = "A cushion"
	p.Object = plan.Object{Kind: plan.Form, Width: 20 * length.Inch, Height: 20 * length.Inch}
	p.Cover.Kind = plan.Cushion
	return p
}

func ptr[T any](v T) *T { return &v }

func TestAPlanWithNothingWrong(t *testing.T) {
	assert.Empty(t, cushion().Validate())
	assert.Empty(t, cushion().Settle().Validate())
}

// nested is stacks in stacks.
func nested(deep int) *plan.Face {
	f := plan.Face{Kind: plan.StackFace}
	if deep > 0 {
		f.Parts = []plan.Part{{Height: plan.Extent{Width: length.Inch}, Face: *nested(deep - 1)}}
	}
	return &f
}

func TestWhatCannotBeRightIsNamed(t *testing.T) {
	front := func(q plan.Piece) func(*plan.Plan) {
		return func(p *plan.Plan) { p.Pieces = map[string]plan.Piece{"front": q} }
	}
	grid := func(f plan.Face) func(*plan.Plan) {
		f.Kind = plan.GridFace
		return front(plan.Piece{Face: &f})
	}
	for path, change := range map[string]func(*plan.Plan){
		"/title":                        func(p *plan.Plan) { p.Title = " " },
		"/copies":                       func(p *plan.Plan) { p.Copies = 0 },
		"/object/width":                 func(p *plan.Plan) { p.Object.Width = -3 * length.Inch },
		"/object/height":                func(p *plan.Plan) { p.Object.Height = 6 * length.Metre },
		"/object/wrap":                  func(p *plan.Plan) { p.Object.Kind = plan.Book },
		"/object/length":                func(p *plan.Plan) { p.Object.Kind = plan.Box },
		"/object/sticks_out/depth":      func(p *plan.Plan) { p.Object.SticksOut.Depth = -1 },
		"/cover/seam":                   func(p *plan.Plan) { p.Cover.Seam = 0 },
		"/cover/wash":                   func(p *plan.Plan) { p.Cover.Wash = math.NaN() },
		"/pieces/side":                  func(p *plan.Plan) { p.Pieces = map[string]plan.Piece{"side": {}} },
		"/pieces/front/squaring":        front(plan.Piece{Squaring: ptr(-length.Inch)}),
		"/pieces/front/layers/overhang": front(plan.Piece{Layers: &plan.Layers{Overhang: ptr(-length.Inch)}}),
		"/pieces/front/layers/batting/count": front(plan.Piece{
			Layers: &plan.Layers{Batting: &plan.Batting{Count: 9}}}),
		"/pieces/front/quilting/lines/0/pitch": front(plan.Piece{
			Quilting: &plan.Quilting{Lines: []plan.LineFamily{{}}}}),
		"/pieces/front/quilting/lines/0/angle": front(plan.Piece{
			Quilting: &plan.Quilting{Lines: []plan.LineFamily{{Pitch: length.Inch, Angle: 999}}}}),
		"/pieces/front/quilting/pair": front(plan.Piece{Quilting: &plan.Quilting{Pair: 2 * length.Inch,
			Lines: []plan.LineFamily{{Pitch: length.Inch}}}}),
		"/pieces/front/take_up/along": front(plan.Piece{TakeUp: &plan.TakeUp{Along: 80}}),
		"/pieces/front/face/columns":  grid(plan.Face{Rows: 1, Patch: plan.Patch{Fit: true}}),
		"/pieces/front/face/rows": grid(plan.Face{Columns: 1, Rows: 201,
			Patch: plan.Patch{Fit: true}}),
		"/pieces/front/face/patch/width": grid(plan.Face{Columns: 1, Rows: 1}),
		"/pieces/front/face/borders/0/width": grid(plan.Face{Columns: 1, Rows: 1, Patch: plan.Patch{Fit: true},
			Borders: []plan.Border{{}}}),
		"/pieces/front/face/order": grid(plan.Face{Columns: 1, Rows: 2, Patch: plan.Patch{Fit: true},
			Order: plan.Order{Kind: plan.Rows, Rows: [][]string{{"A"}}}}),
		"/pieces/front/face/order/0": grid(plan.Face{Columns: 2, Rows: 1, Patch: plan.Patch{Fit: true},
			Order: plan.Order{Kind: plan.Rows, Rows: [][]string{{"A"}}}}),
		"/pieces/front/face/keep/0": grid(plan.Face{Columns: 3, Rows: 2, Set: plan.OnPoint,
			Patch: plan.Patch{Fit: true}, Keep: []plan.Kept{{Row: 2, Column: 3, Cloth: "A"}}}),
		"/pieces/front/face/sash/width": grid(plan.Face{Columns: 1, Rows: 1, Patch: plan.Patch{Fit: true},
			Sash: &plan.Sash{}}),
		"/pieces/front/face/borders/0/pieced/across": grid(plan.Face{Columns: 1, Rows: 1, Patch: plan.Patch{Fit: true},
			Borders: []plan.Border{{Width: plan.Extent{Rest: true}, Pieced: &plan.PiecedBorder{Across: -1}}}}),
		"/pieces/front/face/strips": front(plan.Piece{Face: &plan.Face{Kind: plan.StripsFace}}),
		"/pieces/front/face/strips/0/width": front(plan.Piece{Face: &plan.Face{Kind: plan.StripsFace,
			Strips: make([]plan.Strip, 1)}}),
		"/pieces/front/face/parts": front(plan.Piece{Face: &plan.Face{Kind: plan.StackFace,
			Parts: make([]plan.Part, 25)}}),
		"/pieces/front/face/parts/0/height": front(plan.Piece{Face: &plan.Face{Kind: plan.StackFace,
			Parts: make([]plan.Part, 1)}}),
		"/pieces/front/face/parts/0/face/parts/0/face/parts/0/face/parts/0/face": front(plan.Piece{Face: nested(5)}),
		"/pieces/front/face/colourways": grid(plan.Face{Columns: 1, Rows: 1,
			Patch: plan.Patch{Fit: true}, Colourways: make([]plan.Colourway, 9)}),
		"/pieces/front/face/colourways/0/face/colourways": grid(plan.Face{Columns: 1, Rows: 1,
			Patch:      plan.Patch{Fit: true},
			Colourways: []plan.Colourway{{Face: plan.Face{Colourways: make([]plan.Colourway, 1)}}}}),
		"/back/hem":      func(p *plan.Plan) { p.Back.Hem = make([]length.Length, 3) },
		"/back/hem/0":    func(p *plan.Plan) { p.Back.Hem = []length.Length{-1} },
		"/back/panels/1": func(p *plan.Plan) { p.Back.Panels.Widths = []length.Length{length.Inch, 0} },
		"/cloths":        func(p *plan.Plan) { p.Cloths = map[string]plan.Cloth{" ": {}} },
		"/cloths/A/width": func(p *plan.Plan) {
			p.Cloths = map[string]plan.Cloth{"A": {Width: ptr(length.Length(0)), Usable: ptr(length.Length(0))}}
		},
		"/cloths/A/usable":  func(p *plan.Plan) { p.Cloths = map[string]plan.Cloth{"A": {Usable: ptr(2 * length.Metre)}} },
		"/cloths/A/have":    func(p *plan.Plan) { p.Cloths = map[string]plan.Cloth{"A": {Have: ptr(-length.Inch)}} },
		"/cloths/A/shrink":  func(p *plan.Plan) { p.Cloths = map[string]plan.Cloth{"A": {Shrink: 30}} },
		"/habits/step":      func(p *plan.Plan) { p.Habits.Step = 0 },
		"/habits/fraction":  func(p *plan.Plan) { p.Habits.Fraction = 10 },
		"/measured/0/gate":  func(p *plan.Plan) { p.Measured = []plan.Measured{{}} },
		"/measured/0/width": func(p *plan.Plan) { p.Measured = []plan.Measured{{Gate: "front", Width: -1}} },
	} {
		t.Run(path, func(t *testing.T) {
			p := cushion()
			change(&p)
			found := p.Validate()
			if assert.NotEmpty(t, found) {
				assert.Equal(t, path, found[0].About)
				assert.NotEmpty(t, found[0].Remedy, "says what to type instead")
				assert.True(t, found.Stopped())
			}
		})
	}
}

func TestAPieceTakesWhatItLeavesOutFromAll(t *testing.T) {
	p := cushion()
	p.Pieces = map[string]plan.Piece{
		"*":     {Squaring: ptr(length.Inch), Layers: &plan.Layers{Lining: "L"}, Absorb: plan.AbsorbPatch},
		"front": {Squaring: ptr(2 * length.Inch)},
	}
	q := p.Piece("front")
	assert.Equal(t, 2*length.Inch, q.Margin())
	assert.Equal(t, "L", q.Layers.Lining)
	assert.Equal(t, plan.AbsorbPatch, q.Absorb)
	assert.Equal(t, length.Inch, p.Piece("back").Margin())
}

func TestAQuiltedPieceGetsItsUsualMargin(t *testing.T) {
	quilted := plan.Piece{Quilting: &plan.Quilting{Lines: []plan.LineFamily{{Pitch: length.Inch}}},
		Layers: &plan.Layers{Lining: "L"}}
	for unit, want := range map[length.Unit][2]length.Length{
		length.Inches:      {length.Inch / 2, length.Inch},
		length.Centimetres: {length.Centimetre, 25 * length.Millimetre},
	} {
		p := cushion()
		p.Units = unit
		p.Pieces = map[string]plan.Piece{"front": quilted, "back": {}}
		settled := p.Settle()
		assert.Equal(t, want[0], settled.Piece("front").Margin(), unit)
		assert.Equal(t, want[1], *settled.Piece("front").Layers.Overhang, unit)
		assert.Zero(t, settled.Piece("back").Margin(), unit)
	}
	p := cushion()
	own := length.Inch / 8
	p.Pieces = map[string]plan.Piece{"*": {Squaring: &own}, "front": quilted}
	assert.Equal(t, own, p.Settle().Piece("front").Margin(), "what is decided for all comes before what is usual")
}

func TestMetricPlansTakeMetricSizes(t *testing.T) {
	p := plan.Base(length.Centimetres, plan.DefaultHabits(length.Centimetres))
	assert.Equal(t, 7*length.Millimetre, p.Cover.Seam)
	assert.Equal(t, length.Millimetre, p.Habits.Step)
	assert.Equal(t, []length.Length{length.Centimetre, length.Centimetre}, p.Back.Hem)
}

func TestSettlingDoesNotTouchThePlanItself(t *testing.T) {
	p := cushion()
	face := plan.Face{Kind: plan.GridFace, Patch: plan.Patch{Width: length.Inch}, Borders: []plan.Border{{}}}
	p.Pieces = map[string]plan.Piece{"front": {Face: &face}}
	settled := p.Settle()
	assert.Equal(t, length.Inch, settled.Pieces["front"].Face.Patch.Height)
	assert.Equal(t, plan.Butted, settled.Pieces["front"].Face.Borders[0].Corner)
	assert.Zero(t, face.Patch.Height)
	assert.Empty(t, face.Borders[0].Corner)
}

func TestTheLastMeasurementCounts(t *testing.T) {
	p := cushion()
	p.Measured = []plan.Measured{{Gate: ref.FrontSewn.String(), Width: 1}, {Gate: "other"},
		{Gate: ref.FrontSewn.String(), Width: 2}}
	i, m, ok := p.MeasuredAt(ref.FrontQuilted, ref.FrontSewn)
	assert.True(t, ok)
	assert.Equal(t, 2, i)
	assert.Equal(t, length.Length(2), m.Width)
	_, _, ok = p.MeasuredAt(ref.PadFilled)
	assert.False(t, ok)
}

func TestEverySchoolSaysWhy(t *testing.T) {
	words := map[string][]string{"press": plan.Press("").Values(), "pins": plan.Pins("").Values(),
		"clip": plan.Clip("").Values(), "round": plan.Round("").Values()}
	for _, help := range plan.HabitsHelp() {
		var values []string
		for _, s := range help.Schools {
			assert.NotEmpty(t, s.Reason, s.Value)
			values = append(values, s.Value)
		}
		if set, closed := words[help.Key]; closed {
			assert.ElementsMatch(t, set, values, help.Key)
		}
	}
	chosen := plan.DefaultHabits(length.Inches).Chosen()
	assert.Equal(t, "1/4 in", chosen["seam"])
	assert.Equal(t, "0 in", chosen["ease"])
	assert.Equal(t, "nest", chosen["press"])
}

func TestDaysAreThoseOfTheCalendar(t *testing.T) {
	p := cushion()
	for day, right := range map[string]bool{
		"2026-12-01": true, "2024-02-29": true, "2000-02-29": true, "2026-02-29": false, "1900-02-29": false,
		"2026-04-31": false,
		"2026-13-01": false, "2026-00-10": false, "2026-1-1": false, "2026- 1- 2": false, "2026-+1-02": false,
		"01-12-2026": false, "2026-12-01 ": false, "soon": false,
	} {
		_, err := time.Parse(time.DateOnly, day)
		assert.Equal(t, right, err == nil, "the library’s calendar: %s", day)
		p.Schedule = &plan.Schedule{Lost: []string{day}}
		assert.Equal(t, right, len(p.Validate()) == 0, day)
	}
	p.Schedule = &plan.Schedule{From: "soon", Due: "later", Lost: []string{""}}
	var about []string
	for _, f := range p.Validate() {
		about = append(about, f.About)
	}
	assert.Equal(t, []string{"/schedule/from", "/schedule/due", "/schedule/lost/0"}, about, "always in this order")
}

// A key that its kind does not read is told with the keys that it does; what is absent, and the hem
// that every plan begins with, is not.
func TestWhatIsNotReadIsTold(t *testing.T) {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object, p.Cover.Kind = plan.Object{Kind: plan.Form, Width: 20 * length.Inch,
		Height: 20 * length.Inch}, plan.Cushion
	p.Back.Kind = plan.Zip
	p.Pieces = map[string]plan.Piece{"front": {Face: &plan.Face{Kind: plan.StackFace,
		Parts: []plan.Part{{Face: plan.Face{Kind: plan.StripsFace}}}}}}
	assert.Empty(t, p.Unread())
	overlap := length.Inch
	p.Back.Overlap = &overlap
	p.Cover.SplitTop = true
	p.Pieces["front"].Face.Rows = 3
	p.Pieces["front"].Face.Parts[0].Face.Borders = []plan.Border{{}}
	told := p.Unread()
	require.Len(t, told, 4)
	assert.Equal(t, []string{"/back/overlap", "/cover/split_top", "/pieces/front/face/parts/0/face/borders",
		"/pieces/front/face/rows"}, []string{told[0].About, told[1].About, told[2].About, told[3].About})
	assert.Equal(t, "“overlap” changes nothing: a closure of the kind “zip” reads seam, place, flap, gap.",
		told[0].Text)
	assert.Equal(t, finding.Note, told[0].Level)
}
