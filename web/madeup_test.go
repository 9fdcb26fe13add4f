package web_test

import (
	"cmp"
	"encoding/json"
	"math"
	"net/http"
	"slices"
	"strings"
	"testing"

	jsonpatch "github.com/evanphx/json-patch/v5"
	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/answer"
	"umschlag/core/back"
	"umschlag/core/begin"
	"umschlag/core/brief"
	"umschlag/core/caution"
	"umschlag/core/compare"
	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/fitting"
	"umschlag/core/fold"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
	"umschlag/core/work"
	"umschlag/web"
)

// A kind is one value: what is made up here is known to nothing but this file, and is planned with from
// the brief to the steps.

func TestAMadeUpFitting(t *testing.T) {
	t.Cleanup(plan.FittingKinds.Add("tassel", plan.FittingRules{Padded: true,
		Begins: func(length.Unit) plan.Fitting { return plan.Fitting{Length: 4 * length.Inch} },
		Settle: func(f *plan.Fitting, _ length.Length, _ length.Unit) { f.Width = length.Inch }}))
	t.Cleanup(fitting.Kinds.Add("tassel", fitting.Kind{Title: "Tassel", Needs: []string{"length"}, Hand: true,
		Foot: func(m fitting.Made) (length.Length, length.Length) { return m.Width, m.Width },
		Parts: func(m fitting.Made) []fitting.Part {
			return []fitting.Part{{Title: "fringe", Adds: ", fringe", Count: 1,
				Size: sum.Size{Width: sum.Of(sum.Part, "round it", 6*length.Inch),
					Height: sum.Of(sum.Part, "length", m.Length)}}}
		},
		Fixing:  func(m fitting.Made) string { return "Cut a fringe " + m.Text(m.Length) + " deep and roll it up." },
		Caution: caution.Of("Small parts", "Not where it can be chewed.")}))
	h := app(t)

	bare := `{"format": "umschlag/plan/2", "title": "t", "object": {"kind": "form", "width": "16", "height": "16"}, "cover": {"kind": "cushion"}, "cloths": {"A": {}}}`
	added := chosen(t, h, bare, "/fittings#add", "tassel")
	assert.Contains(t, added, `"kind":"tassel"`)
	assert.Contains(t, added, `"length":"4"`, "as it begins")
	words := told(t, h, added)
	assert.Contains(t, words, "a tassel", "offered once more")
	assert.Contains(t, words, "A tassel on the [Piece of the tassel 1], [Length of the tassel 1] long, [Padding of the tassel 1]")

	doc := `{"format": "umschlag/plan/2", "title": "t", "object": {"kind": "form", "width": "16", "height": "16"}, "cover": {"kind": "cushion"}, "cloths": {"A": {}},
		"fittings": [{"key": "q", "kind": "tassel", "on": "front", "length": "4", "at": {"middle": true}}]}`
	var r answer.Reckoning
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/reckon", doc, &r).Code)
	i := slices.IndexFunc(r.Cuts, func(c answer.Cut) bool { return c.Title == "Tassel, fringe" })
	require.GreaterOrEqual(t, i, 0)
	assert.Equal(t, "4″", r.Cuts[i].Height.Text)
	i = slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.Title == "Sew the tassel on the front" })
	require.GreaterOrEqual(t, i, 0)
	assert.Equal(t, "Cut a fringe 4″ deep and roll it up.", r.Steps[i].Text)
	assert.Equal(t, "Not where it can be chewed.", r.Steps[i].Caution)
	assert.Len(t, r.Fittings[0].Boxes, 1)
}

func TestAMadeUpClosure(t *testing.T) {
	t.Cleanup(plan.BackKinds.Add("snaps",
		plan.BackRules{Reads: []string{"count"},
			Settle: func(b *plan.Back, _ plan.Plan) { b.Count = cmp.Or(b.Count, 3) }}))
	t.Cleanup(plan.ClosureKinds.Add("snaps",
		plan.ClosureRules{Name: "snap fasteners", Skill: "a hammer", Wash: "Closed.", Suits: "Suits bags.",
			Begins: func(length.Unit) plan.Back { return plan.Back{Kind: "snaps"} }}))
	t.Cleanup(brief.Closures.Add("snaps", func(t *brief.Teller) {
		t.Say(", with ")
		t.Count("/back/count", "How many snaps")
		t.Say(" of them")
	}))
	t.Cleanup(back.Kinds.Add("snaps", func(o back.Order) (back.Back, finding.List) {
		whole := sum.Size{Width: o.Front.Width, Height: o.Front.Height}
		return back.Back{Panels: []back.Panel{{Role: ref.ClosurePanel, Name: "back.panel", Title: "Back", Size: whole,
			Count: 1}},
			Lies:    []back.Lie{{Box: back.Box{Width: o.Front.Width.Total(), Height: o.Front.Height.Total()}}},
			Opening: sum.Of(sum.Part, "one side", o.Finished), Buttons: o.Plan.Count,
			Making: []back.Making{{Role: "snaps", Title: "Set the snaps", Text: "With the ring outside.",
				Caution: caution.Of("Fingers", "Mind your fingers."),
				Stack:   []back.Sheet{{What: "back piece", Lies: back.RightUp, Of: back.BackCloth}}}}}, nil
	}))
	h := app(t)

	doc := `{"format": "umschlag/plan/2", "title": "t", "object": {"kind": "form", "width": "16", "height": "16"}, "cover": {"kind": "cushion"}, "cloths": {"A": {}}, "back": {"kind": "snaps", "overlap": "3"}}`
	var r answer.Reckoning
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/reckon", doc, &r).Code)
	assert.Contains(t, told(t, h, doc),
		"It closes with [Closure of the back] of [Fabric of the back], with [How many snaps] of them.")
	assert.Contains(t, chosen(t, h, doc, "/back/kind", "envelope"), `"aside":{"snaps"`)
	assert.Equal(t, 3, r.Back.Buttons, "settled by its kind")
	i := slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.Title == "Set the snaps" })
	require.GreaterOrEqual(t, i, 0)
	assert.Equal(t, "Mind your fingers.", r.Steps[i].Caution)
	assert.True(t, slices.ContainsFunc(r.Findings, func(f finding.Finding) bool {
		return f.Code == "unread" && f.About == "/back/overlap" && strings.Contains(f.Text, "reads count")
	}), "what it does not read is told")
	var choices []compare.Closing
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/closures", doc, &choices).Code)
	last := choices[len(choices)-1]
	assert.Equal(t, "snap fasteners", last.Name)
	assert.True(t, last.Chosen)
	assert.Positive(t, last.Steps)
}

// chosen is a plan with a decision of its brief taken.
func chosen(t *testing.T, h http.Handler, doc, id, key string) string {
	var taken web.Chosen
	require.Equal(t, http.StatusOK,
		call(t, h, "POST", "/api/v1/choose", web.ChooseIn{Plan: []byte(doc), ID: id, Key: key}, &taken).Code)
	text, err := json.Marshal(taken.Patch)
	require.NoError(t, err)
	patch, err := jsonpatch.DecodePatch(text)
	require.NoError(t, err)
	out, err := patch.Apply([]byte(doc))
	require.NoError(t, err)
	return string(out)
}

// told are the words of the brief of a plan, what is decided in brackets, what can be chosen below.
func told(t *testing.T, h http.Handler, doc string) string {
	var made web.PlanView
	require.Equal(t, http.StatusCreated, call(t, h, "POST", "/api/v1/plans", `{"plan": `+doc+`}`, &made).Code)
	var text, options strings.Builder
	var blocks func([]brief.Block)
	blocks = func(list []brief.Block) {
		for _, b := range list {
			for _, w := range b.Words {
				text.WriteString(w.Text)
				switch {
				case w.Field != nil:
					text.WriteString("[" + w.Field.Label + "]")
				case w.Choice != nil:
					text.WriteString("[" + w.Choice.Label + "]")
					for _, o := range w.Choice.Options {
						options.WriteString(o.Says + "\n")
					}
				}
			}
			text.WriteString("\n")
			blocks(b.Blocks)
		}
	}
	for _, stage := range made.Brief.Stages {
		blocks(stage.Blocks)
	}
	return text.String() + options.String()
}

// bag is two alike sides, hemmed at the top and joined round the other three edges.
func bag(p plan.Plan) (cover.Cover, finding.List) {
	seam := cover.Allowance{Kind: sum.Seam, Name: "seam allowance", Width: p.Cover.Seam}
	side := cover.Piece{Name: "side", Config: "side", Title: "Side", Count: 2,
		Finished: sum.Size{Width: sum.Of(sum.Object, "across", p.Object.Width),
			Height: sum.Of(sum.Object, "up", p.Object.Height)},
		Edges: cover.Edges{Left: seam, Right: seam, Bottom: seam,
			Top: cover.Allowance{Kind: sum.Hem, Name: "hem", Width: length.Inch}}}
	round := cover.Run{cover.Right, cover.Bottom, cover.Left}
	along := side.Finished.Height.Then(side.Finished.Width).Then(side.Finished.Height)
	return cover.Cover{Pieces: []cover.Piece{side}, Net: cover.Net{{{{Piece: "side"}}}},
		Joins: []cover.Join{{Title: "side to side", Between: [2]string{"side", "side"},
			Lengths: [2]sum.Sum{along, along}, Count: 1, Runs: [2][]cover.Run{{round}, {round}}}}}, nil
}

func TestAMadeUpCover(t *testing.T) {
	t.Cleanup(plan.CoverKinds.Add("bag", plan.CoverRules{Pieces: []string{"side"}}))
	t.Cleanup(cover.Kinds.Add("bag", cover.Kind{Build: bag, Slots: func(plan.Plan) []cover.Slot {
		return []cover.Slot{{Name: "side", Config: "side", Title: "Side", Count: 2}}
	}}))
	t.Cleanup(work.Constructions.Add("bag", work.Construction{
		Measure: func(m work.Maker) {
			m.Add(work.Step{Role: ref.DoMeasure, Stage: work.Measuring, Title: "Measure what goes into the bag"})
		},
		Finish: func(m work.Maker) {
			m.Add(work.Step{Role: ref.DoTurn, Stage: work.Closing, Title: "Turn the bag",
				Text: "Hem the top " + m.Text(length.Inch) + " deep."})
			m.Lastly()
		}}))
	t.Cleanup(brief.Covers.Add("bag", func(t *brief.Teller) {
		t.Say("A bag with seams of ")
		t.Length("/cover/seam", "Seam allowance")
		t.Say(".")
	}))
	t.Cleanup(fold.Kinds.Add("bag", fold.Kind{
		Fold: func(f *fold.Folder) {
			side := f.Piece("side")
			f.Hang(side, 1, cover.Left, f.Stand(side), side, cover.Right, math.Pi)
		},
		Inside: func(o plan.Object) []fold.Extent {
			return []fold.Extent{{Axis: "width", Name: "across", Direction: 0, Size: o.Width}}
		}}))
	h := app(t)

	doc := `{"format": "umschlag/plan/2", "title": "t", "object": {"kind": "form", "width": "16", "height": "12"}, "cover": {"kind": "bag", "seam": "1/2", "flange": "1"}, "cloths": {"A": {}},
		"pieces": {"side": {"face": {"kind": "grid", "columns": 4, "rows": 3, "patch": {"width": "4", "height": "4"}, "cloths": ["A"]}}}}`
	var r answer.Reckoning
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/reckon", doc, &r).Code)
	stops := func(r answer.Reckoning) (codes []string) {
		for _, f := range r.Findings {
			if f.Level == finding.Stop {
				codes = append(codes, f.Code)
			}
		}
		return codes
	}
	assert.Equal(t, []string{"flange"}, stops(r))
	words := told(t, h, doc)
	assert.Contains(t, words, "A bag with seams of [Seam allowance].", "the brief has its words while it stops")
	assert.Contains(t, words, "2 × side")

	doc = strings.Replace(strings.Replace(doc, `, "flange": "1"`, "", 1),
		`{"kind": "grid", "columns": 4, "rows": 3, "patch": {"width": "4", "height": "4"}, "cloths": ["A"]}`,
		`{"kind": "plain", "cloth": "A"}`, 1)
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/reckon", doc, &r).Code)
	require.Empty(t, stops(r))
	assert.Equal(t, "17″", r.Cuts[0].Width.Text)
	assert.Equal(t, "13½″", r.Cuts[0].Height.Text, "a hem of an inch and a seam of a half")
	assert.Equal(t, 2, r.Cuts[0].Count)
	assert.Equal(t, "40″", r.Joins[0].Lengths[0].Text, "12 and 16 and 12")
	var titles []string
	for _, s := range r.Steps {
		titles = append(titles, s.Title)
	}
	assert.Equal(t, "Measure what goes into the bag", titles[0])
	assert.Contains(t, titles, "Turn the bag")
	var folded answer.FoldShown
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/fold", doc, &folded).Code)
	require.Len(t, folded.Leaves, 2)
	assert.Equal(t, 0, folded.Leaves[1].Parent)
	assert.True(t, folded.Inside[0].Fits, folded.Inside[0].Text)
}

func TestAMadeUpQuiltingPattern(t *testing.T) {
	t.Cleanup(plan.Patterns.Add("lattice",
		plan.PatternRules{Says: "quilted in a lattice", Make: func(apart length.Length) plan.Quilting {
			return plan.Quilting{Lines: []plan.LineFamily{{Pitch: apart, Angle: 30}, {Pitch: apart, Angle: -30}}}
		}}))
	h := app(t)
	var starts web.StartsView
	require.Equal(t, http.StatusOK, call(t, h, "GET", "/api/v1/starts?units=in", nil, &starts).Code)
	last := starts.Patterns[len(starts.Patterns)-1]
	assert.Equal(t, "quilted in a lattice", last.Name)
	cushion := `{"format": "umschlag/plan/2", "title": "t", "object": {"kind": "form", "width": "16", "height": "16"}, "cover": {"kind": "cushion"}, "cloths": {"A": {}}}`
	assert.Contains(t, told(t, h, chosen(t, h, cushion, "/pieces/front/quilting", "lattice")), "quilted in a lattice",
		"chosen, and told again")
	assert.JSONEq(t, `{"lines": [{"pitch": "1", "angle": 30}, {"pitch": "1", "angle": -30}]}`, string(last.Quilting))

	doc := `{"format": "umschlag/plan/2", "title": "t", "object": {"kind": "form", "width": "16", "height": "16"}, "cover": {"kind": "cushion"}, "cloths": {"A": {}, "batting": {"width": "90"}},
		"pieces": {"front": {"face": {"kind": "plain", "cloth": "A"}, "layers": {"batting": {"count": 1}}, "quilting": ` + string(last.Quilting) + `}}}`
	var r answer.Reckoning
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/reckon", doc, &r).Code)
	assert.NotEmpty(t, r.Pieces[0].Quilting.Lines)
	assert.Greater(t, r.Pieces[0].TakeUp[1], r.Pieces[0].TakeUp[0], "nearly level lines take from the height")
	i := slices.IndexFunc(r.Steps, func(s answer.Step) bool { return s.About.Role == ref.DoQuilt })
	require.GreaterOrEqual(t, i, 0)
	assert.Contains(t, r.Steps[i].Text, "1″ apart at 30° and 1″ apart at −30°")
}

// A note that has one plain answer comes with it, as a patch of the plan.
func TestANoteIsSettledByOnePress(t *testing.T) {
	h := app(t)
	doc := `{"format": "umschlag/plan/2", "title": "t", "object": {"kind": "box", "length": "8", "depth": "12", "height": "8"},
		"cover": {"kind": "skirt-hood"}, "cloths": {"A": {}}}`
	var made web.PlanView
	require.Equal(t, http.StatusCreated, call(t, h, "POST", "/api/v1/plans", `{"plan": `+doc+`}`, &made).Code)
	i := slices.IndexFunc(made.Reckoning.Findings, func(f finding.Finding) bool { return f.Code == "deeper-than-long" })
	require.GreaterOrEqual(t, i, 0)
	require.NotEmpty(t, made.Reckoning.Findings[i].Remedies)
	assert.Equal(t, "Length and depth the other way round", made.Reckoning.Findings[i].Remedies[0].Text)
	assert.NotEmpty(t, made.Reckoning.Pieces)
}

func TestAMadeUpFace(t *testing.T) {
	t.Cleanup(plan.FaceKinds.Add("halves", plan.FaceRules{Reads: []string{"cloths"}}))
	t.Cleanup(front.Kinds.Add("halves", func(o front.Order) (front.Face, finding.List) {
		half := o.Finished.Width.Total() / 2
		o.Face = plan.Face{Kind: plan.StripsFace, Direction: plan.AlongWay, Strips: []plan.Strip{
			{Key: "a", Width: plan.Extent{Width: half}, Cloth: o.Face.Cloths[0]},
			{Key: "b", Width: plan.Extent{Width: half}, Cloth: o.Face.Cloths[1]}}}
		return front.Build(o)
	}))
	t.Cleanup(brief.Faces.Add("halves", brief.Face{Says: "Halves", Words: func(f *brief.FaceTeller) {
		f.Say(", in halves of ")
		f.Set("/pieces/front/face/cloths/0", "Fabric of a half", "A")
		f.Say(".")
	}}))
	t.Cleanup(begin.Kinds.Add("halves", func(b begin.Beginning) plan.Face {
		return plan.Face{Cloths: []string{b.First(), b.Last()}}
	}))
	h := app(t)
	doc := `{"format": "umschlag/plan/2", "title": "t", "object": {"kind": "form", "width": "16", "height": "16"},
		"cover": {"kind": "cushion"}, "cloths": {"A": {}, "B": {}}, "pieces": {"front": {"face": FACE}}}`
	plain := strings.Replace(doc, "FACE",
		`{"kind": "grid", "columns": 2, "rows": 2, "patch": {"width": "8"}, "cloths": ["A", "B"]}`, 1)
	halves := chosen(t, h, plain, "/pieces/front/face/kind", "halves")
	assert.Contains(t, halves, `"aside":{"grid"`, "the grid is kept aside")
	assert.Contains(t, told(t, h, halves), "[Kind of front], in halves of [Fabric of a half].")
	var r answer.Reckoning
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/reckon", halves, &r).Code)
	require.NotEmpty(t, r.Pieces, "%v", r.Findings)
	assert.Len(t, r.Pieces[0].Cells, 2)
	assert.Equal(t, "8½″", r.Cuts[0].Width.Text, "a strip of 8 in and its seams")
	assert.True(t, slices.ContainsFunc(r.Steps, func(s answer.Step) bool { return s.Stage == string(work.Piecing) }))
}

func TestAMadeUpCorner(t *testing.T) {
	t.Cleanup(plan.CornerKinds.Add("knotted", plan.CornerRules{Says: "knotted"}))
	t.Cleanup(front.BorderCorners.Add("knotted", front.BorderCorner{Sides: front.Flush, Runs: front.Over,
		First:  func(seam string) string { return "Leave " + seam + " loose at both ends." },
		Second: "Over the ends.", Last: front.Finish{Title: "Tie the corners", Text: "Tightly.", Check: "They hold."}}))
	h := app(t)
	doc := `{"format": "umschlag/plan/2", "title": "t", "object": {"kind": "form", "width": "16", "height": "16"}, "cover": {"kind": "cushion", "ease": {"width": 0, "height": 0}},
		"cloths": {"A": {}}, "pieces": {"front": {"face": {"kind": "grid", "columns": 3, "rows": 3, "patch": {"width": "5"}, "cloths": ["A"],
		"borders": [{"key": "b1", "width": "1/2", "cloth": "A"}]}}}}`
	knotted := chosen(t, h, doc, "/pieces/front/face/borders/0/corner", "knotted")
	assert.Contains(t, told(t, h, knotted), "knotted")
	var butted, r answer.Reckoning
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/reckon", doc, &butted).Code)
	require.Equal(t, http.StatusOK, call(t, h, "POST", "/api/v1/reckon", knotted, &r).Code)
	assert.Equal(t, butted.Cuts, r.Cuts, "cut as butted ones are")
	var texts []string
	for _, s := range r.Steps {
		texts = append(texts, s.Title, s.Text)
	}
	assert.Contains(t, texts, "Leave ¼″ loose at both ends.")
	assert.Contains(t, texts, "Tie the corners")
}
