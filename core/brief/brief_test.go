package brief_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/brief"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/sample"
	"umschlag/core/supply"
)

const in = length.Inch

// cushion is a plan that begins, in two cloths.
func cushion(t *testing.T) plan.Plan {
	p, ok := plan.Begin("cushion", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "linen"})
	require.True(t, ok)
	p.Object.Width, p.Object.Height = 16*in, 16*in
	p.Title, p.Cloths["B"] = "t", plan.Cloth{Name: "calico"}
	return p
}

// choose takes decisions one after the other.
func choose(t *testing.T, p plan.Plan, decisions ...[2]string) plan.Plan {
	t.Helper()
	for _, d := range decisions {
		q, refused, ok := brief.Choose(p, nil, d[0], d[1])
		require.True(t, ok, d[0])
		require.Empty(t, refused)
		p = q
	}
	return p
}

// stage are the words of a stage, with labels in brackets, presses in angles.
func stage(p plan.Plan, w *reckon.Workshop, name string) string {
	var text strings.Builder
	var blocks func([]brief.Block)
	blocks = func(list []brief.Block) {
		for _, b := range list {
			for _, word := range b.Words {
				text.WriteString(word.Text)
				switch {
				case word.Field != nil:
					text.WriteString("[" + word.Field.Label + "]")
				case word.Choice != nil:
					for _, o := range word.Choice.Options {
						if o.Key == word.Choice.Now {
							text.WriteString(o.Says)
						}
					}
				case word.Press != nil:
					text.WriteString("<" + word.Press.Says + ">")
				}
			}
			for _, kept := range b.Aside {
				text.WriteString(" {" + kept.Says + "}")
			}
			text.WriteString("\n")
			blocks(b.Blocks)
		}
	}
	for _, s := range brief.Of(p, w).Stages {
		if s.Name == name {
			blocks(s.Blocks)
		}
	}
	return text.String()
}

func TestABriefReadsAsAMakerSpeaks(t *testing.T) {
	p := cushion(t)
	assert.Equal(t, "A cushion insert, [Width of the insert] across by [Height of the insert] up, filled with polyester. It is bought. It is made [How many are made] time.\n\n\n",
		stage(p, nil, "Measure"))
	assert.Contains(t, stage(p, nil, "Back"),
		"It closes with an envelope of linen, in two equal pieces, hemmed [First fold of the hem] and [Second fold of the hem], overlapping by a size, [Overlap of the back], the right one outside.  It is cut as is usual: with the front, since one piece of fabric is as large as it is cut.")
	p.Cover.Seam = 99 * in // stops
	assert.Contains(t, stage(p, nil, "Front"), "One piece of fabric: linen, no pocket over it.", "told under any stop")
	hood, _ := plan.Begin("appliance", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "linen"})
	assert.Contains(t, stage(hood, nil, "Pieces"), "The main panel\nOne piece of fabric: linen")
	assert.Contains(t, stage(hood, nil, "Pieces"), "2 × end panel, alike: <tell the two apart>\n")
}

func TestPipingGoesAndComesBack(t *testing.T) {
	p := cushion(t)
	piped := choose(t, p, [2]string{"/edges/piping", "made"})
	assert.Equal(t, &plan.Piping{Cord: 3 * in / 16, Cloth: "A"}, piped.Edges.Piping)
	assert.Nil(t, choose(t, piped, [2]string{"/edges/piping", "none"}).Edges.Aside, "as it began: nothing is lost")
	piped.Edges.Piping.Cloth = "B"
	bare := choose(t, piped, [2]string{"/edges/piping", "none"})
	assert.Equal(t, &plan.Trimmings{Piping: &plan.Piping{Cord: 3 * in / 16, Cloth: "B"}}, bare.Edges.Aside)
	bought := choose(t, bare, [2]string{"/edges/piping", "bought"})
	assert.Equal(t, &plan.Piping{Cord: 3 * in / 16, Cloth: "B", Bought: true}, bought.Edges.Piping)
	assert.Nil(t, bought.Edges.Aside)
}

func TestAPlaceIsToldFromOneEdge(t *testing.T) {
	p := choose(t, cushion(t), [2]string{"/fittings#add", "slit"})
	at := func(p plan.Plan) plan.At { return p.Fittings[0].At }
	two := 2 * in
	for _, c := range []struct {
		decided []string
		want    plan.At
	}{
		{[]string{"across right"}, plan.At{Middle: true, Right: &two}},
		{[]string{"across left", "across middle"}, plan.At{Middle: true}},
		{[]string{"up top", "up edge-bottom"}, plan.At{Middle: true, Edge: "bottom"}},
		{[]string{"up edge-top", "up middle"}, plan.At{Middle: true}},
	} {
		q := p
		for _, d := range c.decided {
			way, key, _ := strings.Cut(d, " ")
			q = choose(t, q, [2]string{"/fittings/0/at#" + way, key})
		}
		assert.Equal(t, c.want, at(q), c.decided)
	}
	assert.Empty(t, choose(t, p, [2]string{"/fittings/0#off", ""}).Fittings)
	pair := choose(t, p, [2]string{"/fittings#add", "belt"})
	assert.Equal(t, &two, pair.Fittings[1].At.Left, "the two of a pair stand at mirrored places")
}

// What is decided by a size begins with the one it has: the brief asks the reckoning for it.
func TestASizeBeginsAsItIs(t *testing.T) {
	p := cushion(t)
	p.Object.Width, p.Object.Height = 163*in/10, 163*in/10 // what four patches on the ruler do not fill
	p = choose(t, p, [2]string{"/pieces/front/face/kind", "grid"}, [2]string{"/pieces/front/face/borders#add", ""})
	given := choose(t, p, [2]string{"/pieces/front/face/borders/0/width#is", "given"},
		[2]string{"/pieces/front/face/patch/fit", "no"})
	r := reckon.Reckon(p, nil)
	require.NotEmpty(t, r.Pieces, "%v", r.Findings)
	face := given.Pieces["front"].Face
	assert.Equal(t, length.Length(r.Pieces[0].Patch.Width.NM), face.Patch.Width)
	again := reckon.Reckon(given, nil)
	require.NotEmpty(t, again.Pieces, "%v", again.Findings)
	assert.Equal(t, r.Pieces[0].Patch, again.Pieces[0].Patch)
	share := choose(t, p, [2]string{"/back/overlap#how", "share"})
	assert.InDelta(t, 25, share.Back.Share, 0)
	size := choose(t, share, [2]string{"/back/overlap#how", "size"})
	assert.Equal(t, length.Length(r.Back.Overlap.NM), *size.Back.Overlap)
	panels := choose(t, p, [2]string{"/back/panels", "yes"})
	assert.Equal(t, panels.Back.Panels.Widths[0], panels.Back.Panels.Widths[1])
	assert.Positive(t, panels.Back.Panels.Widths[0])
}

func TestAStripTakesTheRest(t *testing.T) {
	p := choose(t, cushion(t), [2]string{"/pieces/front/face/kind", "strips"})
	rest := choose(t, p, [2]string{"/pieces/front/face/strip#rest", "1"})
	assert.True(t, rest.Pieces["front"].Face.Strips[1].Width.Rest)
	assert.Equal(t, reckon.Reckon(p, nil).Cuts, reckon.Reckon(rest, nil).Cuts)
	assert.Contains(t, stage(rest, nil, "Front"), "the rest of the width of")
	wide := rest
	wide.Object.Height += in // what is left follows the cover
	other := choose(t, wide, [2]string{"/pieces/front/face/strip#rest", "0"})
	assert.Equal(t, p.Pieces["front"].Face.Strips[1].Width.Width+in, other.Pieces["front"].Face.Strips[1].Width.Width)
	none := choose(t, other, [2]string{"/pieces/front/face/strip#rest", ""})
	assert.False(t, none.Pieces["front"].Face.Strips[0].Width.Rest)
	more := choose(t, rest, [2]string{"/pieces/front/face#split", ""})
	assert.Len(t, more.Pieces["front"].Face.Strips, 4)
	assert.NotEmpty(t, reckon.Reckon(more, nil).Pieces)
}

func TestAPanelKeepsItsSizeWhenItsSquaresGo(t *testing.T) {
	p, _ := plan.Begin("panel", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "linen"})
	p.Object.Width, p.Object.Height = 12*in, 12*in
	counted := choose(t, p, [2]string{"/pieces/front/face/panel/kind", "counted"})
	assert.Zero(t, counted.Object.Width, "the cover follows the squares")
	size := counted.Settle().Object
	assert.Positive(t, size.Width)
	plain := choose(t, counted, [2]string{"/pieces/front/face/kind", "plain"})
	assert.Equal(t, [2]length.Length{size.Width, size.Height},
		[2]length.Length{plain.Object.Width, plain.Object.Height})
}

// A piece that shares what was decided for all gets its own when it is changed.
func TestAPieceGetsAStackOfItsOwn(t *testing.T) {
	hood, _ := plan.Begin("appliance", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "linen"})
	hood.Object.Length, hood.Object.Depth, hood.Object.Height = 16*in, 12*in, 10*in
	hood.Pieces["*"] = plan.Piece{Face: hood.Pieces["*"].Face, Layers: &plan.Layers{Lining: "A",
		Batting: &plan.Batting{Count: 1}}}
	ends := choose(t, hood, [2]string{"/pieces/end/layers/batting/count", "2"})
	assert.Equal(t, 1, ends.Pieces["*"].Layers.Batting.Count)
	assert.Equal(t, &plan.Layers{Lining: "A", Batting: &plan.Batting{Count: 2}}, ends.Pieces["end"].Layers)
	assert.Contains(t, ends.Cloths, plan.BattingCloth, "a plan without batting takes one")
	_, refused, ok := brief.Choose(ends, nil, "/cover/kind", "band-hood")
	assert.True(t, ok)
	assert.Empty(t, refused)
}

func TestWhatCannotBeIsRefusedWithTheReason(t *testing.T) {
	p := cushion(t)
	p.Object.Width, p.Object.Height = 17*in, 91*in/8
	q, refused, ok := brief.Choose(p, nil, "/pieces/front/face/kind", "windows")
	assert.True(t, ok)
	assert.Contains(t, refused, "Folded windows do not fit")
	assert.Equal(t, p, q)
	_, _, ok = brief.Choose(p, nil, "/pieces/roof/face/kind", "plain")
	assert.False(t, ok)
}

// The cupboard and the samples of the workshop are offered.
func TestTheWorkshopIsOffered(t *testing.T) {
	wide := 60 * in
	w := &reckon.Workshop{Cloths: supply.Cupboard{"moss": {Name: "moss", Width: &wide, Have: &wide}},
		Samples: sample.Shelf{"s1": {Title: "test square", Kind: plan.QuiltingSample,
			Before: plan.Sized{Width: 10 * in, Height: 10 * in}, After: []plan.Sized{{Width: 9 * in, Height: 9 * in}}}}}
	p := cushion(t)
	q, _, ok := brief.Choose(p, w, "/cloths#add", "moss")
	require.True(t, ok)
	assert.Equal(t, plan.Cloth{Name: "moss", Width: &wide}, q.Cloths["C"], "what there is of it stays in the cupboard")
	p = choose(t, p, [2]string{"/pieces/front/quilting", "cross"})
	q, _, ok = brief.Choose(p, w, "/pieces/front/take_up/from", "s1")
	require.True(t, ok)
	assert.Equal(t, &plan.TakeUp{From: plan.FromSample, ID: "s1"}, q.Pieces["front"].TakeUp)
	assert.Contains(t, stage(q, w, "Layers"), "as “test square” did")
}

func TestFlapsThatDifferInSizeAreToldApart(t *testing.T) {
	p, _ := plan.Begin("book", length.Inches, plan.DefaultHabits(length.Inches), plan.Cloth{Name: "linen"})
	p.Title, p.Object.Wrap, p.Object.Height = "t", 14*in, 9*in
	p.Cover.Flaps.Depth = plan.Pair{Front: 3 * in, Back: 2 * in}
	p.Fittings = []plan.Fitting{{Key: "pen", Kind: "pocket", On: "flap.back", Width: in, Height: 2 * in,
		At: plan.At{Middle: true}}}
	assert.Contains(t, stage(p, nil, "Pieces"), "2 × flap: <tell the two apart>\n")
	apart := choose(t, p, [2]string{"/pieces/flap#apart", ""})
	assert.Equal(t, "flap.2", apart.Fittings[0].On, "on the one behind, as it was")
	told := stage(apart, nil, "Pieces")
	assert.Contains(t, told, "The front flap: <make both as this one>\n")
	assert.Contains(t, told, "The back flap\n")
	assert.Empty(t, reckon.Reckon(apart, nil).Findings)
	alike := choose(t, apart, [2]string{"/pieces/flap#alike", ""})
	assert.Equal(t, p.Piece("flap"), alike.Piece("flap"))
}
