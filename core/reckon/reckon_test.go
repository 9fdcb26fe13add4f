package reckon_test

import (
	"slices"
	"testing"

	"umschlag/core/answer"
	"umschlag/core/supply"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	_ "umschlag/seeded"
)

const in = length.Inch

func ptr[T any](v T) *T { return &v }

// worked is the cushion of docs/arithmetic.md §6: form 20, ease −1, s ¼, a grid of
// 4 × 4 of 4 in in a border that takes the rest, cross-hatched at 1 in over a
// batting of 3 mm, margin ½, an envelope overlapping 5 with hems ½ + ½.
func worked() plan.Plan {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Title = "Worked cushion"
	p.Object = plan.Object{Kind: plan.Form, Width: 20 * in, Height: 20 * in}
	p.Cover.Kind = plan.Cushion
	p.Cover.Ease = plan.Axes{Width: -in, Height: -in}
	p.Back.Overlap = ptr(5 * in)
	p.Pieces = map[string]plan.Piece{
		"front": {
			Face: &plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4, Patch: plan.Patch{Width: 4 * in},
				Cloths:  []string{"A", "B"},
				Borders: []plan.Border{{Width: plan.Extent{Rest: true}, Cloth: "C"}}},
			Layers:   &plan.Layers{Batting: &plan.Batting{Count: 1, Loft: 3 * length.Millimetre}, Lining: "L"},
			Quilting: &plan.Quilting{Lines: []plan.LineFamily{{Pitch: in, Angle: 45}, {Pitch: in, Angle: -45}}},
			Squaring: ptr(in / 2),
		},
		"back": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "D"}},
	}
	p.Cloths = map[string]plan.Cloth{"A": {Name: "a"}, "B": {Name: "b"}, "C": {Name: "c"}, "D": {Name: "d"},
		"L": {Name: "l"}, "batting": {Name: "batting", Width: ptr(60 * in)}}
	return p
}

// gridAlone is the same 4 × 4 grid without a border and without quilting.
func gridAlone() plan.Plan {
	p := worked()
	p.Object.Width, p.Object.Height = 17*in, 17*in
	p.Pieces["front"] = plan.Piece{Face: &plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 4,
		Patch: plan.Patch{Width: 4 * in}, Cloths: []string{"A", "B"}}}
	return p
}

func cut(t require.TestingT, r answer.Reckoning, id string) answer.Cut {
	i := slices.IndexFunc(r.Cuts, func(c answer.Cut) bool { return c.ID == id })
	require.GreaterOrEqual(t, i, 0, "no cut %s", id)
	return r.Cuts[i]
}

func piece(t require.TestingT, r answer.Reckoning, name string) answer.Piece {
	i := slices.IndexFunc(r.Pieces, func(p answer.Piece) bool { return p.Name == name })
	require.GreaterOrEqual(t, i, 0, "no piece %s", name)
	return r.Pieces[i]
}

func total(terms []answer.Term) int64 {
	var n int64
	for _, t := range terms {
		n += t.Amount.NM
	}
	return n
}

// The figures are worked by hand; common practice, no published source.
func TestTheWorkedCushion(t *testing.T) {
	r := reckon.Reckon(worked(), nil)
	assert.Empty(t, r.Findings)
	front := piece(t, r, "front")
	assert.Equal(t, "19″", front.Finished.Width.Text)
	assert.Equal(t, "19½″", front.Trimmed.Height.Text)
	assert.InDelta(t, 20.68, float64(front.BeforeQuilting.Width.NM)/float64(in), 0.005)
	assert.InDelta(t, 0.86, front.TakeUp[0], 0.005)
	assert.InDelta(t, 0.86, front.TakeUp[1], 0.005)
	assert.Equal(t, "2⅝″", cut(t, r, "cut.piece:front.of:1.role:border-first").Width.Text)
	border := r.Sums["cut.piece:front.of:1.role:border-first.width"]
	assert.InDelta(t, 2.59, float64(total(border[:len(border)-1]))/float64(in), 0.005, "before the ruler step")
	back := cut(t, r, "cut.piece:back.role:closure-panel")
	assert.Equal(t, "13¼″", back.Width.Text)
	assert.Equal(t, "19½″", back.Height.Text)
	assert.Equal(t, 2, back.Count)
	assert.Equal(t, "gate.piece:front.role:quilted", back.Waits)
	assert.Equal(t, "22¾″", cut(t, r, "cut.piece:front.role:batting").Width.Text)
	assert.Equal(t, "22¾″", cut(t, r, "cut.piece:front.role:lining").Height.Text)
	assert.Equal(t, map[string]int{"patches": 16, "rows": 4, "border strips": 4, "pieces to cut": 24}, r.Counts)
	assert.InDelta(t, 26.3, r.Back.Share, 0.05)
}

func TestEverySizeIsItsSum(t *testing.T) {
	for _, p := range []plan.Plan{worked(), gridAlone(), measured(worked(), 155*in/8, 39*in/2)} {
		r := reckon.Reckon(p, nil)
		require.NotEmpty(t, r.Cuts)
		for _, c := range r.Cuts {
			assert.Equal(t, c.Width.NM, total(r.Sums[c.ID+".width"]), c.ID)
			assert.Equal(t, c.Height.NM, total(r.Sums[c.ID+".height"]), c.ID)
		}
		for _, p := range r.Pieces {
			assert.Equal(t, p.Finished.Width.NM, total(r.Sums[p.Name+".finished.width"]), p.Name)
			assert.Equal(t, p.Trimmed.Height.NM, total(r.Sums[p.Name+".height"]), p.Name)
		}
		front := piece(t, r, "front")
		assert.Equal(t, front.BeforeQuilting.Width.NM, total(r.Sums["front.before_quilting.width"]))
		assert.Equal(t, r.Back.Overlap.NM, total(r.Sums["back.overlap"]))
		assert.Equal(t, r.Lengths[0].Length.NM, total(r.Sums["thread"]))
	}
}

func measured(p plan.Plan, w, h length.Length) plan.Plan {
	p.Measured = []plan.Measured{{Gate: "gate.piece:front.role:quilted", Width: w, Height: h}}
	return p
}

func TestTheBackFollowsTheMeasuredFront(t *testing.T) {
	r := reckon.Reckon(measured(worked(), 155*in/8, 39*in/2), nil)
	front := piece(t, r, "front")
	assert.Equal(t, "19⅜″", front.Trimmed.Width.Text)
	assert.Equal(t, "19½″", front.Planned.Width.Text, "the plan keeps both")
	assert.Equal(t, "18⅞″", front.Finished.Width.Text)
	back := cut(t, r, "cut.piece:back.role:closure-panel")
	assert.Empty(t, back.Waits)
	assert.Equal(t, "13¼″", back.Width.Text, "13³⁄₁₆, up to the ruler")
	assert.Equal(t, "half the front as measured", r.Sums["cut.piece:back.role:closure-panel.width"][0].Term)
	assert.Equal(t, "5⅛″", r.Back.Overlap.Text)
	require.Len(t, r.Findings, 1)
	assert.Equal(t, "front-short", r.Findings[0].Code)
	assert.Equal(t, "/measured/0/width", r.Findings[0].About)
	var codes []string
	for _, remedy := range r.Remedies {
		codes = append(codes, string(remedy.Code))
	}
	assert.Equal(t, []string{"follow", "seam"}, codes, "in the order of what they spoil; the back is not cut yet")
	assert.Contains(t, r.Remedies[0].Text, "18⅞″ across, 1⅛″ smaller than the insert")
	assert.Contains(t, r.Remedies[1].Text, "³⁄₁₆″ instead of ¼″")
}

func TestAGridSewnFatSaysSoOnceItIsMeasured(t *testing.T) {
	p := gridAlone()
	require.Empty(t, reckon.Reckon(p, nil).Findings)
	short := 3 * in / 16 // three seams, 1/32 too wide on both sides
	p.Measured = []plan.Measured{{Gate: "gate.piece:front.role:sewn", Width: 33*in/2 - short, Height: 33*in/2 - short}}
	r := reckon.Reckon(p, nil)
	require.Len(t, r.Findings, 2)
	for _, f := range r.Findings {
		assert.Equal(t, "front-short", f.Code)
		assert.Contains(t, f.Text, "³⁄₁₆″ short")
		assert.Contains(t, f.Text, "3 seams make, each ¹⁄₃₂″ too wide on both sides")
	}
	assert.Equal(t, "16⅜″", cut(t, r, "cut.piece:back.role:closure-panel").Height.Text, "16⁵⁄₁₆, up to the ruler")
	assert.Equal(t, "15¹³⁄₁₆″", piece(t, r, "back").Finished.Height.Text)
}

func TestMeasuringWhatWasPlannedChangesNothing(t *testing.T) {
	planned := reckon.Reckon(worked(), nil)
	r := reckon.Reckon(measured(worked(), 39*in/2, 39*in/2), nil)
	assert.Empty(t, r.Findings)
	assert.Empty(t, r.Remedies)
	for i, n := range r.Cloths {
		assert.LessOrEqual(t, n.Need.NM, planned.Cloths[i].Need.NM, "what was kept for more is not needed any more")
	}
	for i, c := range r.Cuts {
		assert.Equal(t, planned.Cuts[i].Width, c.Width, c.ID)
		assert.Empty(t, c.Waits)
	}
}

func TestASlipOfTheTapeIsAskedAbout(t *testing.T) {
	r := reckon.Reckon(measured(worked(), 15*in, 39*in/2), nil)
	assert.Equal(t, "measured-slip", r.Findings[0].Code)
	unknown := worked()
	unknown.Measured = []plan.Measured{{Gate: "lid", Width: in, Height: in}}
	assert.Equal(t, "measured-unknown", reckon.Reckon(unknown, nil).Findings[0].Code)
}

func TestABackCutTooEarlyIsFound(t *testing.T) {
	p := measured(worked(), 155*in/8, 39*in/2)
	p.Progress.Cut = map[string]plan.AsCut{"cut.piece:back.role:closure-panel": {}}
	r := reckon.Reckon(p, nil)
	assert.True(t, slices.ContainsFunc(r.Findings, func(f finding.Finding) bool { return f.Code == "back-cut-early" }))
	assert.True(t, cut(t, r, "cut.piece:back.role:closure-panel").Done)
}

func TestBadDecisionsGiveFindingsAndNoHalfResult(t *testing.T) {
	for name, c := range map[string]struct {
		change func(*plan.Plan)
		about  string
	}{
		"an insert of −3": {func(p *plan.Plan) { p.Object.Width = -3 * in }, "/object/width"},
		"a patch larger than the front": {func(p *plan.Plan) { p.Pieces["front"].Face.Patch.Width = 22 * in },
			"/pieces/front/face/patch/width"},
		"borders wider than the cover":    {func(p *plan.Plan) { p.Pieces["front"].Face.Borders[0].Width = plan.Extent{Width: 12 * in} }, "/pieces/front/face/borders"},
		"an overlap larger than the back": {func(p *plan.Plan) { p.Back.Overlap = ptr(25 * in) }, "/back/overlap"},
		"a back of patches": {func(p *plan.Plan) { p.Pieces["back"] = p.Pieces["front"] },
			"/pieces/back/face/kind"},
		"a piece wider than its fabric": {func(p *plan.Plan) { p.Cloths["D"] = plan.Cloth{Width: ptr(14 * in)} },
			"/pieces/back/face"},
		"a slip in the copies": {func(p *plan.Plan) { p.Copies = 1000 }, "/copies"},
		"a hood over an insert": {func(p *plan.Plan) { p.Cover.Kind, p.Pieces = "wrap-hood", nil },
			"/object/kind"},
	} {
		t.Run(name, func(t *testing.T) {
			p := worked()
			c.change(&p)
			r := reckon.Reckon(p, nil)
			require.NotEmpty(t, r.Findings)
			assert.Equal(t, finding.Stop, r.Findings[0].Level)
			assert.Equal(t, c.about, r.Findings[0].About)
			assert.NotEmpty(t, r.Findings[0].Remedy)
			assert.Empty(t, r.Pieces)
			assert.Empty(t, r.Cuts)
			assert.Empty(t, r.Steps)
			assert.Empty(t, r.Cloths)
		})
	}
}

func TestDecisionsForAllPiecesAreFoundWhereTheyStand(t *testing.T) {
	p := worked()
	p.Pieces["*"] = plan.Piece{Face: &plan.Face{Kind: plan.PlainFace, Applique: make([]plan.Shape, 1)}}
	p.Pieces["front"] = plan.Piece{}
	assert.Equal(t, "/pieces/*/face/applique/0/shape", reckon.Reckon(p, nil).Findings[0].About)
}

func TestTheCupboardAndThePlanSayWhatThereIs(t *testing.T) {
	p := worked()
	need := func(r answer.Reckoning, letter string) answer.ClothNeed {
		return r.Cloths[slices.IndexFunc(r.Cloths, func(c answer.ClothNeed) bool { return c.Cloth == letter })]
	}
	free := need(reckon.Reckon(p, nil), "D")
	assert.Nil(t, free.Have)
	assert.Equal(t, "½ yd", free.BuyText)
	short := reckon.Reckon(p, &reckon.Workshop{Cloths: supply.Cupboard{"d": {Have: ptr(10 * in)}}})
	assert.Equal(t, "3⅞″", need(short, "D").Short.Text,
		"both lie turned side by side: 13¼, ⅛ that they may come out larger, and ½ to square, less 10")
	assert.Equal(t, "cloth-short", short.Findings[0].Code)
	d := p.Cloths["D"]
	d.Have = ptr(length.Yard)
	p.Cloths["D"] = d
	enough := need(reckon.Reckon(p, &reckon.Workshop{Cloths: supply.Cupboard{"d": {Have: ptr(15 * in)}}}), "D")
	assert.Zero(t, enough.Short.NM)
	assert.Zero(t, enough.Buy.NM)
}

func TestCopiesMultiplyClothAndNotCounts(t *testing.T) {
	p := worked()
	p.Copies = 3
	r, one := reckon.Reckon(p, nil), reckon.Reckon(worked(), nil)
	assert.Equal(t, one.Counts, r.Counts)
	for i := range r.Cloths {
		assert.Len(t, r.Cloths[i].Lay.Placed, 3*len(one.Cloths[i].Lay.Placed))
	}
}

func TestAnUndescribedClothIsNoted(t *testing.T) {
	p := worked()
	delete(p.Cloths, "C")
	r := reckon.Reckon(p, nil)
	require.Len(t, r.Findings, 1)
	assert.Equal(t, finding.Note, r.Findings[0].Level)
	assert.Equal(t, "/cloths/C", r.Findings[0].About)
}

func TestAQuiltedBackGetsItsOversize(t *testing.T) {
	p := worked()
	q := p.Pieces["front"]
	p.Pieces["back"] = plan.Piece{Face: &plan.Face{Kind: plan.PlainFace, Cloth: "D"}, Layers: q.Layers,
		Quilting: q.Quilting}
	r := reckon.Reckon(p, nil)
	assert.Equal(t, "14⅜″", cut(t, r, "cut.piece:back.role:closure-panel").Width.Text,
		"13¼ + 1, over what quilting leaves, up to the ruler")
	assert.Equal(t, 2, cut(t, r, "cut.piece:back.role:lining").Count)
}

func TestAnAcceptedSmallerFrontIsFollowed(t *testing.T) {
	p := gridAlone()
	q := p.Pieces["front"]
	q.Quilting, q.Layers, q.Absorb = worked().Pieces["front"].Quilting, worked().Pieces["front"].Layers,
		plan.AbsorbAccept
	p.Pieces["front"] = q
	r := reckon.Reckon(p, nil)
	require.Len(t, r.Findings, 1)
	assert.Equal(t, "cover-smaller", r.Findings[0].Code)
	front := piece(t, r, "front")
	assert.Less(t, front.Finished.Width.NM, int64(16*in))
	assert.Equal(t, front.Finished.Width.NM+int64(in/2), front.Trimmed.Width.NM)
	assert.Equal(t, front.Trimmed.Height.NM,
		total(r.Sums["cut.piece:back.role:closure-panel.height"])-surplus(r.Sums["cut.piece:back.role:closure-panel.height"]))
}

func surplus(terms []answer.Term) int64 {
	if last := terms[len(terms)-1]; last.Kind == "step" {
		return last.Amount.NM
	}
	return 0
}

func TestTheInputIsNotTouched(t *testing.T) {
	p := worked()
	p.Pieces["front"].Face.Borders[0].Cloth = ""
	reckon.Reckon(p, nil)
	assert.Empty(t, p.Pieces["front"].Face.Borders[0].Cloth)
	assert.Zero(t, p.Pieces["front"].Face.Patch.Height)
}

// anyCushion draws plans from small to absurd.
func anyCushion(t *rapid.T) plan.Plan {
	p := worked()
	size := func(name string) length.Length {
		return length.Length(rapid.Int64Range(-int64(2*in), int64(40*in)).Draw(t, name))
	}
	p.Object.Width, p.Object.Height = size("w"), size("h")
	p.Cover.Ease.Width = size("ease") / 10
	face := p.Pieces["front"].Face
	face.Columns, face.Rows = rapid.IntRange(-1, 12).Draw(t, "c"), rapid.IntRange(0, 12).Draw(t, "r")
	face.Patch.Width = size("patch") / 4
	face.Order.Kind = rapid.SampledFrom([]plan.OrderKind{plan.Alternate, plan.Scrap}).Draw(t, "order")
	q := p.Pieces["front"]
	q.Quilting.Lines[0].Pitch = size("pitch") / 10
	q.Absorb = rapid.SampledFrom([]plan.Absorb{"", plan.AbsorbPatch, plan.AbsorbAccept}).Draw(t, "absorb")
	if rapid.Bool().Draw(t, "no border") {
		face.Borders = nil
	}
	p.Pieces["front"] = q
	p.Back.Overlap = ptr(size("overlap") / 2)
	p.Measured = []plan.Measured{{Gate: "gate.piece:front.role:quilted", Width: size("mw"), Height: size("mh")}}
	p.Copies = rapid.IntRange(1, 3).Draw(t, "copies")
	return p
}

func TestNoPlanPanicsAndTheSamePlanGivesTheSame(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := anyCushion(t)
		r := reckon.Reckon(p, nil)
		assert.Equal(t, r, reckon.Reckon(p, nil))
		if finding.List(r.Findings).Stopped() {
			assert.Empty(t, r.Cuts)
			return
		}
		used := map[string]int{}
		for _, s := range r.Steps {
			for _, c := range s.Cuts {
				used[c]++
			}
		}
		for _, c := range r.Cuts {
			assert.Positive(t, c.Width.NM, c.ID)
			assert.Equal(t, 1, used[c.ID], "%s is cut in exactly one step", c.ID)
		}
	})
}

func BenchmarkWorkedCushion(b *testing.B) { reckoning(worked())(b) }

// patched is the worked cushion with n × n patches of 3 in.
func patched(n int) plan.Plan {
	p := worked()
	side := in.Times(3*n + 5)
	p.Object.Width, p.Object.Height = side, side
	face := p.Pieces["front"].Face
	face.Columns, face.Rows, face.Patch.Width, face.Cloths = n, n, 3*in, []string{"A", "B", "C", "D", "L"}
	for l, c := range p.Cloths {
		c.Width, c.Usable = ptr(120*in), ptr(118*in)
		p.Cloths[l] = c
	}
	return p
}

func reckoning(p plan.Plan) func(*testing.B) {
	return func(b *testing.B) {
		if r := reckon.Reckon(p, nil); finding.List(r.Findings).Stopped() {
			b.Fatal(r.Findings)
		}
		b.ReportAllocs()
		for b.Loop() {
			reckon.Reckon(p, nil)
		}
	}
}

func BenchmarkAThousandPatches(b *testing.B) { reckoning(patched(32))(b) }

// Speed as a ratio, not as a time: sixteen times the patches take some sixteen
// times as long, and nowhere near its square.
func TestReckoningGrowsWithThePatchesAndNotWithTheirSquare(t *testing.T) {
	few, many := testing.Benchmark(reckoning(patched(8))), testing.Benchmark(reckoning(patched(32)))
	ratio := float64(many.NsPerOp()) / float64(few.NsPerOp())
	t.Logf("%d ns for 64 patches, %d ns for 1024: × %.1f", few.NsPerOp(), many.NsPerOp(), ratio)
	assert.Less(t, ratio, 16.0*4)
}
