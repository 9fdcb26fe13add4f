package reckon_test

import (
	"fmt"
	"slices"
	"testing"

	"umschlag/core/answer"
	"umschlag/core/move"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

func codes(r answer.Reckoning) []string {
	var out []string
	for _, f := range r.Findings {
		out = append(out, f.Code)
	}
	return out
}

// shells are covers of each kind, over things of ordinary sizes.
func shells() map[plan.CoverKind]plan.Plan {
	out := map[plan.CoverKind]plan.Plan{}
	add := func(kind plan.CoverKind, o plan.Object, change func(*plan.Plan)) {
		p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
		p.Title, p.Object, p.Cover.Kind = string(kind), o, kind
		p.Cover.Ease = plan.Axes{}
		p.Pieces = map[string]plan.Piece{"*": {Face: &plan.Face{Kind: plan.PlainFace, Cloth: "A"}}}
		p.Cloths = map[string]plan.Cloth{"A": {Name: "a", Width: ptr(120 * in)}}
		change(&p)
		out[kind] = p
	}
	box := plan.Object{Kind: plan.Box, Length: 18 * in, Depth: 29 * in / 2, Height: 13 * in / 2}
	rounded := func(p *plan.Plan) {
		p.Cover.Seam, p.Cover.Corners = in/2, plan.Corners{Kind: "round", Radius: 2 * in}
	}
	add("wrap-hood", box, rounded)
	add("band-hood", plan.Object{Kind: plan.Box, Length: 19 * in / 2, Depth: 17 * in / 2, Height: 15 * in / 2},
		func(p *plan.Plan) {
			p.Cover.Seam, p.Cover.Corners = 3*in/8, plan.Corners{Kind: "round", Plate: 6 * in}
		})
	add("skirt-hood", box, func(*plan.Plan) {})
	add("boxed-cushion", plan.Object{Kind: plan.Form, Width: 40 * in, Height: 16 * in, Thickness: 3 * in}, rounded)
	add("pad", plan.Object{Kind: plan.Flat, Width: 16 * in, Height: 12 * in}, func(*plan.Plan) {})
	add("jacket", plan.Object{Kind: plan.Book, Wrap: 13 * in, Height: 8 * in}, func(p *plan.Plan) {
		p.Cover.Ease.Wrap, p.Cover.Flaps = 3*in/4, plan.Flaps{Style: "folded",
			Depth: plan.Pair{Front: 3 * in, Back: 3 * in}}
	})
	return out
}

// Worked figures of docs/arithmetic.md §2up to the ruler step: geometry.
func TestTheCutsOfTheWorkedHoods(t *testing.T) {
	wrapped := reckon.Reckon(shells()["wrap-hood"], nil)
	main, end := cut(t, wrapped, "cut.piece:main.role:panel"), cut(t, wrapped, "cut.piece:end.role:panel")
	assert.Equal(t, []string{"19″", "26¼″", "rectangle"}, []string{main.Width.Text, main.Height.Text, main.Shape})
	assert.Equal(t, []string{"15½″", "7″", "template"}, []string{end.Width.Text, end.Height.Text, end.Shape})
	assert.Equal(t, 2, end.Count)
	banded := reckon.Reckon(shells()["band-hood"], nil)
	face, band := cut(t, banded, "cut.piece:face.role:panel"), cut(t, banded, "cut.piece:band.role:panel")
	assert.Equal(t, []string{"10¼″", "7⅞″", "9¼″", "22¼″"},
		[]string{face.Width.Text, face.Height.Text, band.Width.Text, band.Height.Text})
}

func TestEveryShellIsWholeAndExplained(t *testing.T) {
	for kind, p := range shells() {
		t.Run(string(kind), func(t *testing.T) {
			r := reckon.Reckon(p, nil)
			require.Empty(t, r.Findings)
			used := map[string]int{}
			for _, s := range r.Steps {
				for _, c := range s.Cuts {
					used[c]++
				}
			}
			for _, c := range r.Cuts {
				assert.Equal(t, 1, used[c.ID], "%s is cut in one step", c.ID)
				assert.Equal(t, c.Width.NM, total(r.Sums[c.ID+".width"]), c.ID)
				assert.Equal(t, c.Height.NM, total(r.Sums[c.ID+".height"]), c.ID)
			}
			for i, j := range r.Joins {
				assert.InDelta(t, 0, float64(j.Off.NM), 12, j.Title)
				assert.Equal(t, "alike", j.Fit)
				assert.Equal(t, j.Lengths[0].NM,
					total(r.Sums[[]string{"join.1.first", "join.2.first", "join.3.first"}[i]]))
			}
			for _, piece := range r.Pieces {
				assert.NotEmpty(t, piece.Seams, "%s is joined to something", piece.Name)
				for _, s := range piece.Seams {
					assert.Len(t, s.Marks, 3)
					assert.LessOrEqual(t, s.Join, len(r.Joins))
				}
			}
			assert.Equal(t, r, reckon.Reckon(p, nil))
		})
	}
}

func TestTheBottomOfAHoodIsBoundAllRound(t *testing.T) {
	lengths := map[string]string{}
	for _, n := range reckon.Reckon(shells()["wrap-hood"], nil).Lengths {
		lengths[n.What] = n.Length.Text
	}
	assert.Equal(t, "66″", lengths["binding"], "2 × (18 + 14½) and an inch to overlap")
	hemmed := shells()["wrap-hood"]
	hemmed.Cover.Bottom = plan.Bottom{Finish: "hem", Width: in}
	for _, n := range reckon.Reckon(hemmed, nil).Lengths {
		assert.NotEqual(t, "binding", n.What)
	}
}

func TestFittingsAreCutAndSewnOn(t *testing.T) {
	p := shells()["pad"]
	p.Fittings = []plan.Fitting{{Kind: "strap", On: "top", Length: 14 * in, Width: 3 * in / 2, Count: 2,
		At: plan.At{Left: ptr(2 * in), Top: ptr(in)}}}
	r := reckon.Reckon(p, nil)
	require.Len(t, r.Fittings, 1)
	assert.Len(t, r.Fittings[0].Boxes, 2)
	strap := cut(t, r, "cut.of:1.role:fitting-part.no:1")
	assert.Equal(t, []string{"16″", "3½″", "A"}, []string{strap.Width.Text, strap.Height.Text, strap.Cloth})
	assert.Equal(t, 2, strap.Count)
	p.Fittings[0].At.Left = ptr(-in)
	stopped := reckon.Reckon(p, nil)
	assert.Equal(t, "fitting-off", stopped.Findings[0].Code)
	assert.Empty(t, stopped.Cuts)
}

// pieced is a hood of patches over a box whose ends finish 12 × 6.
func pieced() plan.Plan {
	p := shells()["wrap-hood"]
	p.Object.Length, p.Object.Depth, p.Object.Height = 18*in, 12*in, 6*in
	p.Cover.PiecingSeam = p.Cover.Seam
	p.Pieces["end"] = plan.Piece{Face: &plan.Face{Kind: plan.GridFace, Columns: 4, Rows: 2,
		Patch: plan.Patch{Width: 3 * in}, Cloths: []string{"A"}}}
	return p
}

func TestPatchesAtABoundEdgeAreCutAlikeAndTrimmed(t *testing.T) {
	r := reckon.Reckon(pieced(), nil)
	require.Empty(t, r.Findings)
	patch, end := cut(t, r, "cut.piece:end.role:patch.cloth:A"), piece(t, r, "end")
	assert.Equal(t, []string{"4″", "4″"}, []string{patch.Width.Text, patch.Height.Text},
		"3 and two seams of ½, at the open edge too")
	assert.Equal(t, 16, patch.Count, "two ends of eight")
	assert.Equal(t, []string{"6½″", "7″"}, []string{end.Trimmed.Height.Text, end.BeforeQuilting.Height.Text})
	i := slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.ID == "step.piece:end.role:open-edge" })
	require.Positive(t, i)
	assert.Contains(t, r.Steps[i].Text, "trim ½″ off")
	assert.Less(t, i, slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.Join == 1 }))
}

func TestAHemDeeperThanTheSeamsOfThePatchesIsFound(t *testing.T) {
	p := pieced()
	p.Cover.Bottom = plan.Bottom{Finish: "hem", Width: in}
	r := reckon.Reckon(p, nil)
	require.Len(t, r.Findings, 1)
	assert.Equal(t, "face-edge", r.Findings[0].Code)
	assert.Equal(t, "/pieces/end/face/kind", r.Findings[0].About)
	p.Cover.Bottom.Width = in / 2
	assert.Empty(t, reckon.Reckon(p, nil).Findings, "half an inch is there")
}

func TestABandLongerThanItsClothIsJoined(t *testing.T) {
	p := shells()["boxed-cushion"]
	p.Cloths["A"] = plan.Cloth{Name: "a", Width: ptr(42 * in), Print: "one-way"}
	p.Object.Width = 30 * in
	p.Pieces["band"] = plan.Piece{Layers: &plan.Layers{Batting: &plan.Batting{Count: 1}}}
	r := reckon.Reckon(p, nil)
	assert.Equal(t, []string{"strip-joined", "strip-butted", "cloth-undescribed"}, codes(r))
	band := cut(t, r, "cut.piece:band.role:panel")
	whole := piece(t, r, "band").BeforeQuilting.Width.NM
	assert.Equal(t, 3, band.Count)
	assert.LessOrEqual(t, band.Width.NM, int64(40*in))
	assert.GreaterOrEqual(t, 3*band.Width.NM-2*int64(in), whole, "three, less a seam of ½ from both sides of two joins")
	assert.Equal(t, band.Width.NM, total(r.Sums["cut.piece:band.role:panel.width"]))
	assert.Equal(t, 2, cut(t, r, "cut.piece:band.role:batting").Count, "batting of 60 is butted from two")
	p.Fittings = []plan.Fitting{{Kind: "loop", On: "band", Length: 3 * in, Width: in, At: plan.At{Middle: true}}}
	assert.NotContains(t, codes(reckon.Reckon(p, nil)), "fitting-seam", "the joins of three lie at the thirds")
	p.Fittings[0].At = plan.At{Left: ptr(length.Length(r.Pieces[1].Cells[1].X))}
	assert.Contains(t, codes(reckon.Reckon(p, nil)), "fitting-seam")
	i := slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.ID == "step.piece:band.role:end-to-end" })
	require.Positive(t, i)
	assert.Contains(t, r.Steps[i].Text, "3 strips end to end")
}

func TestABandThatIsCutTakesNoCloth(t *testing.T) {
	p := shells()["band-hood"]
	cloth := reckon.Reckon(p, nil).Cloths[0].Lay
	p.Cover.BandLength = ptr(89 * in / 4)
	r := reckon.Reckon(p, nil)
	require.Empty(t, r.Findings[1:], "%v", r.Findings)
	assert.True(t, cut(t, r, "cut.piece:band.role:panel").Done)
	assert.Equal(t, "eases", r.Joins[0].Fit, "a fraction over the way round")
	p.Cover.BandLength = ptr(20 * in)
	short := reckon.Reckon(p, nil)
	assert.Equal(t, "off", short.Joins[0].Fit)
	assert.NotContains(t, codes(short), "join-off", "band-short says it already")
	assert.Len(t, r.Cloths[0].Lay.Placed, len(cloth.Placed)-1)
}

func TestAZipIsBoughtWithSpareAndItsFoldsNeedNoFinish(t *testing.T) {
	p := shells()["boxed-cushion"]
	p.Back = plan.Back{Kind: plan.Zip, Gap: 36 * in}
	r := reckon.Reckon(p, nil)
	require.Empty(t, r.Findings)
	lengths := map[string]string{}
	for _, n := range r.Lengths {
		lengths[n.What] = n.Length.Text
	}
	assert.Equal(t, "37½″", lengths["zip"])
	assert.NotContains(t, lengths, "binding", "a fold at the zip is no open edge")
	var finished []string
	for _, step := range r.Steps {
		if step.About.Role == ref.DoFinish {
			finished = append(finished, step.ID)
		}
	}
	assert.Equal(t, []string{"step.role:finish-seam.a:band.at:left_7cright.b:band_2ezip.bt:left_7cright",
		"step.role:finish-seam.a:band.at:top_7cbottom.b:face.bt:left_2btop_2bright_2bbottom",
		"step.role:finish-seam.a:band_2ezip.at:bottom.b:face.bt:top"}, finished)
}

func TestAPrintWithADirectionIsFoundWhereItTurnsOver(t *testing.T) {
	oneWay := func(kind plan.CoverKind, change func(*plan.Plan)) []string {
		p := shells()[kind]
		p.Cloths["A"] = plan.Cloth{Name: "a", Width: ptr(120 * in), Print: plan.OneWay}
		change(&p)
		return codes(reckon.Reckon(p, nil))
	}
	asIs := func(*plan.Plan) {}
	assert.Contains(t, oneWay("wrap-hood", asIs), "print-upside-down")
	assert.NotContains(t, oneWay("wrap-hood", func(p *plan.Plan) { p.Cover.SplitTop = true }), "print-upside-down")
	assert.Contains(t, oneWay("band-hood", asIs), "print-upside-down")
	assert.Empty(t, oneWay("skirt-hood", asIs))
	assert.Empty(t, oneWay("jacket", asIs))
}

func TestPiecesSayHowTheyLieOnTheirCloth(t *testing.T) {
	p := shells()["boxed-cushion"]
	p.Object.Width = 70 * in // the band turns along the cloth, where it is wider than it is long
	p.Cloths["B"] = plan.Cloth{Name: "b", Width: ptr(120 * in), Print: plan.OneWay}
	p.Pieces["face"] = plan.Piece{Face: &plan.Face{Kind: plan.PlainFace, Cloth: "B"}}
	r := reckon.Reckon(p, nil)
	assert.Equal(t, "one-way", piece(t, r, "face").Grain)
	placed := r.Cloths[0].Lay.Placed[0]
	assert.Equal(t, map[bool]string{true: "across", false: "up"}[placed.Turned], piece(t, r, "band").Grain)
	assert.Empty(t, piece(t, reckon.Reckon(pieced(), nil), "end").Grain, "patches lie each as it is cut")
}

func TestAPaddedStrapHasBattingOfItsSize(t *testing.T) {
	p := shells()["pad"]
	p.Cloths["batting"] = plan.Cloth{Name: "b"}
	p.Fittings = []plan.Fitting{{Kind: "strap", On: "top", Length: 14 * in, Width: 3 * in / 2, Count: 2,
		At:     plan.At{Left: ptr(2 * in)},
		Layers: &plan.Layers{Batting: &plan.Batting{Count: 2}, Lining: "A"}}}
	r := reckon.Reckon(p, nil)
	require.Empty(t, r.Findings)
	padding, lining := cut(t, r, "cut.of:1.role:fitting-part.layer:batting.no:1"), cut(t, r,
		"cut.of:1.role:fitting-part.layer:lining.no:1")
	assert.Equal(t, []string{"14″", "1½″", "batting"}, []string{padding.Width.Text, padding.Height.Text, padding.Layer})
	assert.Equal(t, 4, padding.Count)
	assert.Equal(t, []string{"16″", "3½″"}, []string{lining.Width.Text, lining.Height.Text})
}

func TestWhatIsBoughtForFittingsIsListed(t *testing.T) {
	p := shells()["pad"]
	p.Fittings = []plan.Fitting{
		{Kind: "belt", On: "top", Length: 18 * in, Short: 6 * in, Width: in, At: plan.At{Left: ptr(2 * in)}},
		{Kind: "button", On: "under", Width: in, Count: 3, At: plan.At{Left: ptr(2 * in)}},
	}
	r := reckon.Reckon(p, nil)
	require.Empty(t, r.Findings)
	lengths := map[string]string{}
	for _, n := range r.Lengths {
		lengths[n.What] = n.Length.Text
	}
	assert.Equal(t, "3″", lengths["hook tape, belt 1"])
	assert.Equal(t, "6″", lengths["loop tape, belt 1"])
	assert.Equal(t, 3, r.Counts["buttons"])
}

func TestAFittingKeepsOffTheHemsOfAnEnvelope(t *testing.T) {
	p := worked()
	p.Fittings = []plan.Fitting{{Kind: "label", On: "back", Width: 2 * in, Height: in, At: plan.At{Middle: true}}}
	assert.NotContains(t, codes(reckon.Reckon(p, nil)), "fitting-hem", "the overlap is wider than the label")
	p.Fittings[0].At = plan.At{Left: ptr(6 * in)}
	assert.Contains(t, codes(reckon.Reckon(p, nil)), "fitting-hem")
}

func TestASlitThroughAPadIsSewnAfterItsSeam(t *testing.T) {
	p := shells()["pad"]
	p.Fittings = []plan.Fitting{{Kind: "slit", On: "top", Length: 3 * in, At: plan.At{Edge: "bottom"}}}
	r := reckon.Reckon(p, nil)
	at := func(role ref.Role) int {
		return slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.About.Role == role })
	}
	assert.Less(t, at(ref.DoJoin), at(ref.DoFitting))
	assert.Less(t, at(ref.DoFitting), at(ref.DoTurn))
}

func TestAMoveIsAnsweredInThePlansOwnTerms(t *testing.T) {
	p := shells()["pad"]
	p.Fittings = []plan.Fitting{{Kind: "pocket", On: "top", Width: 5 * in, Height: 4 * in, At: plan.At{Right: ptr(in)}}}
	at, ok := move.Fitting(p, 0, 3*in+in/50, 4*in)
	require.True(t, ok)
	assert.Equal(t, plan.At{Right: ptr(8 * in), Middle: true}, at, "16 − 5 − 3 from the right, still in the middle up")
	_, ok = move.Fitting(p, 1, 0, 0)
	assert.False(t, ok)
	p.Object.Width = 0
	_, ok = move.Fitting(p, 0, 0, 0)
	assert.False(t, ok)
}

func TestTurnedInFlapsAndASplitTopHaveNothingWrongWithTheirSeams(t *testing.T) {
	jacket := shells()["jacket"]
	jacket.Cover.Flaps.Style = "turned-in"
	assert.Empty(t, reckon.Reckon(jacket, nil).Findings)
	split := shells()["wrap-hood"]
	split.Cover.SplitTop = true
	r := reckon.Reckon(split, nil)
	assert.Empty(t, r.Findings)
	drawn := map[string]bool{}
	for _, s := range piece(t, r, "main").Seams {
		key := fmt.Sprint(s.Join, s.Path)
		assert.False(t, drawn[key], "a seam is drawn once")
		drawn[key] = true
	}
	assert.Len(t, drawn, 3, "the top, and both sides")
}
