package reckon_test

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/answer"
	"umschlag/core/block"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// nineHalves is a front of nine half-square triangles, 4 in each, and so many like them that are there already.
func nineHalves(made int, change ...func(*plan.Plan)) plan.Plan {
	p := gridAlone()
	p.Object.Width, p.Object.Height = 13*in, 13*in
	p.Pieces["front"] = plan.Piece{Face: &plan.Face{Kind: plan.GridFace, Columns: 3, Rows: 3,
		Patch: plan.Patch{Width: 4 * in}, Cloths: []string{"A", "B"}, Block: plan.Block{Name: "half-square"}}}
	p.Habits.Triangles = plan.TrimTriangles
	if made > 0 {
		p.Made = []plan.Made{halves(made)}
	}
	for _, c := range change {
		c(&p)
	}
	return p
}

func halves(n int) plan.Made {
	return plan.Made{Cells: "A / B", Cloths: []string{"A", "B"}, Width: 9 * in / 2, Height: 9 * in / 2, Count: n}
}

// whole is how many squares of each cut stay whole until they are sewn in pairs.
func whole(r answer.Reckoning) (out []int) {
	for _, c := range r.Cuts {
		if c.Gives > 1 {
			out = append(out, c.Whole)
		}
	}
	return out
}

// triangles are the squares cut for the triangles of a plan, cloth by cloth, and what is over of each.
func triangles(r answer.Reckoning) (squares, over []int) {
	for _, c := range r.Cuts {
		if c.Gives > 1 {
			squares, over = append(squares, c.Total), append(over, c.Over)
		}
	}
	return squares, over
}

// Worked by hand: two squares give two units, so nine take five of each cloth and leave one; with one there already
// eight take four. Eight at a time from two large squares, the rest two at a time.
func TestNothingIsCutForUnitsThatAreThereAlready(t *testing.T) {
	many := func(p *plan.Plan) { p.Habits.Triangles = plan.ManyTriangles }
	for _, c := range []struct {
		made          int
		change        func(*plan.Plan)
		squares, over []int
		need, have    int
		spare         int
	}{
		{0, nil, []int{5, 5}, []int{1, 1}, 9, 0, 1},
		{1, nil, []int{4, 4}, []int{0, 0}, 9, 1, 0},
		{2, nil, []int{4, 4}, []int{1, 1}, 9, 2, 1},
		{9, nil, []int{0, 0}, []int{0, 0}, 9, 9, 0},
		{12, nil, []int{0, 0}, []int{0, 0}, 9, 9, 0},
		{0, func(p *plan.Plan) { p.Copies = 2 }, []int{9, 9}, []int{0, 0}, 18, 0, 0},
		{3, func(p *plan.Plan) { p.Copies = 2 }, []int{8, 8}, []int{1, 1}, 18, 3, 1},
		{0, many, []int{1, 1, 1, 1}, []int{1, 1, 0, 0}, 9, 0, 1},
		{1, many, []int{0, 0, 1, 1}, []int{0, 0, 0, 0}, 9, 1, 0},
		{2, many, []int{4, 4}, []int{1, 1}, 9, 2, 1}, // seven are too few for a square of eight
		{3, many, []int{3, 3}, []int{0, 0}, 9, 3, 0},
	} {
		r := reckon.Reckon(nineHalves(c.made, func(p *plan.Plan) {
			if c.change != nil {
				c.change(p)
			}
		}), nil)
		squares, over := triangles(r)
		assert.Equal(t, c.squares, squares, "%+v", c)
		assert.Equal(t, c.over, over, "%+v", c)
		require.Len(t, r.Units, 1)
		u := r.Units[0]
		assert.Equal(t, []int{c.need, c.have, c.spare}, []int{u.Need, u.Have, u.Over}, "%+v", c)
		assert.Equal(t, []int{c.made, c.made - c.have}, []int{u.There, u.Surplus}, "%+v", c)
		assert.Equal(t, u.Over+u.Surplus, u.Spare, "%+v", c)
		assert.Equal(t, "half-square triangles", u.Name)
	}
}

// saidOf is what is found of a code, with what helps.
func saidOf(r answer.Reckoning, code string) string {
	for _, f := range r.Findings {
		if f.Code == code {
			return f.Text + " " + f.Remedy
		}
	}
	return ""
}

func titles(r answer.Reckoning) string {
	var out []string
	for _, s := range r.Steps {
		out = append(out, s.Title)
	}
	return strings.Join(out, "; ")
}

func sewnIn(t *testing.T, r answer.Reckoning) answer.Step {
	t.Helper()
	for _, s := range r.Steps {
		if s.ID == r.Units[0].Step {
			return s
		}
	}
	require.Fail(t, "the step of the units is not among the steps", r.Units[0].Step)
	return answer.Step{}
}

func TestTheStepsSewWhatIsMissing(t *testing.T) {
	none, some := reckon.Reckon(nineHalves(0), nil), reckon.Reckon(nineHalves(1), nil)
	all := reckon.Reckon(nineHalves(9), nil)
	assert.Contains(t, titles(none), "Sew the 9 blocks")
	assert.Contains(t, titles(some), "Sew 8 of the 9 blocks")
	assert.Contains(t, sewnIn(t, some).Text, "The one that is missing is left from another cover.")
	assert.Contains(t, sewnIn(t, reckon.Reckon(nineHalves(3), nil)).Text, "The other 3 are left from other covers.")
	assert.Contains(t, titles(all), "Take the 9 half-square triangles left from other covers")
	assert.Contains(t, sewnIn(t, all).Check, "4½″ × 4½″", "what was sewn another time is measured")
	assert.Less(t, all.Left, some.Left)
	assert.Less(t, some.Left, none.Left)
	two := reckon.Reckon(nineHalves(3, func(p *plan.Plan) { p.Copies = 2 }), nil)
	assert.Contains(t, titles(two), "Sew the 9 blocks", "each of two covers has nine")
	assert.Contains(t, sewnIn(t, two).Text, "For both together, 3 fewer are sewn")
}

// Two ends alike of eight halves each, and five of them there.
func TestUnitsOfTwoPiecesAlikeAreTakenTogether(t *testing.T) {
	p := pieced()
	end := *p.Pieces["end"].Face
	end.Cloths, end.Block = []string{"A", "B"}, plan.Block{Name: "half-square"}
	p.Pieces["end"] = plan.Piece{Face: &end}
	p.Cloths["B"] = plan.Cloth{Name: "b", Width: ptr(120 * in)}
	p.Habits.Triangles = plan.TrimTriangles
	p.Made = []plan.Made{{Cells: "A / B", Cloths: []string{"A", "B"}, Width: 4 * in, Height: 4 * in, Count: 5}}
	r := reckon.Reckon(p, nil)
	require.Len(t, r.Units, 1, "%v", r.Findings)
	u := r.Units[0]
	assert.Equal(t, []int{16, 5, 1}, []int{u.Need, u.Have, u.Over})
	squares, _ := triangles(r)
	assert.Equal(t, []int{6, 6}, squares)
	step := sewnIn(t, r)
	assert.Equal(t, "Sew the 8 blocks", step.Title)
	assert.Contains(t, step.Text, "For both together, 5 fewer are sewn")
	assert.Contains(t, step.Text, "For both together, one more comes out than is needed.")
}

func TestUnitsThatNothingTakesAreSaid(t *testing.T) {
	more := reckon.Reckon(nineHalves(12), nil)
	assert.Contains(t, saidOf(more, "made-more"), "12 half-square triangles of 4½″ × 4½″ are left from other covers, and 9")
	other := reckon.Reckon(nineHalves(1, func(p *plan.Plan) { p.Made[0].Width = 5 * in }), nil)
	assert.Contains(t, saidOf(other, "made-unused"), "1 half-rectangle triangle of 5″ × 4½″ is left")
	require.Len(t, other.Units, 2, "it can be put away where the others are told")
	assert.Equal(t, []int{0}, other.Units[1].Made)
	assert.Zero(t, other.Units[1].Need)
	squares, _ := triangles(other)
	assert.Equal(t, []int{5, 5}, squares)
	unread := reckon.Reckon(nineHalves(1, func(p *plan.Plan) { p.Made[0].Cells = "A /" }), nil)
	assert.Contains(t, saidOf(unread, "made-cells"), "a part is missing")
	require.Len(t, unread.Units, 2)
	assert.Empty(t, saidOf(unread, "made-unused"), "once is enough")
	none := reckon.Reckon(nineHalves(1, func(p *plan.Plan) { p.Made[0].Count = 0 }), nil)
	assert.NotEmpty(t, none.Findings)
	assert.Contains(t, none.Findings[0].Text, "How many units there are")
}

// What a plan put into the cupboard itself is told, and what is there of the same kind counted.
func TestWhatTheCupboardHasOfThem(t *testing.T) {
	p := nineHalves(0, func(p *plan.Plan) {
		p.Progress.Over = []plan.Made{halves(1)}
		p.Cloths = map[string]plan.Cloth{"A": {Name: "leaf"}, "B": {Name: "dot"}, "D": {Name: "d"}}
	})
	shelf := []plan.MadeUnits{{Cells: "A / B", Fabrics: []string{"leaf", "dot"}, Width: 9 * in / 2, Height: 9 * in / 2,
		Seam: in / 4, Count: 4}}
	r := reckon.Reckon(p, &reckon.Workshop{Units: shelf})
	require.Len(t, r.Units, 1)
	assert.Equal(t, []int{1, 1, 4}, []int{r.Units[0].Over, r.Units[0].Kept, r.Units[0].Held})
	assert.Zero(t, r.Units[0].Spare, "it is put away")
	assert.Zero(t, r.Units[0].Takes, "what it put in itself it is not offered")
	other := p
	other.Progress.Over = nil
	assert.Equal(t, 4, reckon.Reckon(other, &reckon.Workshop{Units: shelf}).Units[0].Takes)
	other.Made = []plan.Made{halves(7)}
	assert.Equal(t, 2, reckon.Reckon(other, &reckon.Workshop{Units: shelf}).Units[0].Takes, "no more than are missing")
	p.Cover.PiecingSeam = 3 * in / 8
	r = reckon.Reckon(p, &reckon.Workshop{Units: shelf})
	assert.Zero(t, r.Units[0].Held, "sewn with another seam")
}

// ofBlocks is a cushion whose front is sewn from blocks of any sort, for one or several, in any school.
func ofBlocks(t *rapid.T) plan.Plan {
	p := gridAlone()
	columns, rows := rapid.IntRange(1, 4).Draw(t, "columns"), rapid.IntRange(1, 4).Draw(t, "rows")
	each := in / 2 * length.Length(rapid.IntRange(6, 16).Draw(t, "block"))
	p.Object.Width, p.Object.Height = each.Times(columns)+in, each.Times(rows)+in
	p.Pieces["front"] = plan.Piece{Face: &plan.Face{Kind: plan.GridFace, Columns: columns, Rows: rows,
		Patch: plan.Patch{Width: each}, Cloths: []string{"A", "B", "C"},
		Block: plan.Block{Name: rapid.SampledFrom(block.Library()).Draw(t, "name").Name},
		Order: plan.Order{Kind: rapid.SampledFrom([]plan.OrderKind{"", plan.Scrap}).Draw(t, "order")}}}
	p.Copies = rapid.IntRange(1, 3).Draw(t, "copies")
	p.Habits.Triangles = rapid.SampledFrom([]plan.Triangles{plan.ExactTriangles, plan.TrimTriangles,
		plan.ManyTriangles}).Draw(t, "triangles")
	p.Habits.Strips = rapid.SampledFrom([]plan.StripSets{plan.SinglePatches, plan.SewnSets}).Draw(t, "strips")
	return p
}

// Whatever units a plan needs: with all of them there, nothing is cut that only they take, with some of them no more
// than without; and what is there and what is not are together what is needed.
func TestUnitsThatAreThereTakeNoCloth(t *testing.T) {
	made := 0
	rapid.Check(t, func(t *rapid.T) {
		p := ofBlocks(t).Settle()
		without := reckon.Reckon(p, nil)
		if len(without.Units) == 0 {
			return
		}
		made++
		q, all := p, p
		for _, u := range without.Units {
			n := rapid.IntRange(0, u.Need).Draw(t, "there")
			one := plan.Made{Cells: u.Cells, Cloths: u.Cloths,
				Width: length.Length(u.Width.NM), Height: length.Length(u.Height.NM), Count: 1}
			if n > 0 && n <= 2000 {
				one.Count = n
				q.Made = append(q.Made[:len(q.Made):len(q.Made)], one)
			}
			one.Count = min(u.Need, 2000)
			all.Made = append(all.Made[:len(all.Made):len(all.Made)], one)
		}
		with, whole := reckon.Reckon(q, nil), reckon.Reckon(all, nil)
		require.Len(t, with.Units, len(without.Units))
		for i, u := range with.Units {
			n := 0
			for _, at := range u.Made {
				n += q.Made[at].Count
			}
			assert.Equal(t, n, u.Have)
			assert.Equal(t, without.Units[i].Need, u.Need)
		}
		for i, c := range with.Cuts {
			if c.Patches == 0 {
				continue // piping may come in other strips where patches leave another rest
			}
			if p.Habits.Triangles != plan.ManyTriangles { // there, fewer may come in pairs in place of eight at a time
				assert.LessOrEqual(t, c.Total, without.Cuts[i].Total, c.ID)
				assert.LessOrEqual(t, whole.Cuts[i].Total, c.Total, c.ID)
			}
			if c.Total > 0 {
				assert.Equal(t, c.Patches-c.Sewn, (c.Total-c.Spoiled)*c.Gives-c.Over, "%s: what is missing", c.Title)
			}
		}
	})
	assert.Greater(t, made, 50)
}

// Two kinds of nine that share a cloth: of the shared one nine squares are cut, not ten, so that the last of both kinds
// are sewn from halves of one square. With one kind alone the tenth comes out as well.
func TestTheLastOfAnOddNumberIsSewnByItself(t *testing.T) {
	two := nineHalves(0, func(p *plan.Plan) {
		f := p.Pieces["front"].Face
		f.Block, f.Cloths = plan.Block{Cells: "(A / B) | (A / C)"}, []string{"A", "B", "C"}
		f.Patch.Width, f.Patch.Height = 4*in, 2*in
		f.Columns, f.Rows = 3, 3
		p.Object.Height = 7 * in
	})
	r := reckon.Reckon(two, nil)
	require.Len(t, r.Units, 2, "%v", r.Findings)
	squares, over := triangles(r)
	assert.Equal(t, []int{9, 5, 5}, squares)
	assert.Equal(t, []int{0, 1, 1}, over)
	assert.Equal(t, []int{8, 4, 4}, whole(r), "one square of each is cut in two for the last of both kinds")
	for _, u := range r.Units {
		assert.Equal(t, []int{9, 0}, []int{u.Need, u.Over})
		for _, s := range r.Steps {
			if s.ID == u.Step {
				assert.Contains(t, s.Text, "The last one is sewn by itself: cut a square of each of the two")
			}
		}
	}
	one := sewnIn(t, reckon.Reckon(nineHalves(0), nil)).Text
	assert.Contains(t, one, "One more comes out than is needed.")
	assert.NotContains(t, one, "by itself")
	three := reckon.Reckon(nineHalves(2, func(p *plan.Plan) { p.Copies = 3 }), nil)
	assert.Contains(t, sewnIn(t, three).Text, "For all 3 together, one more comes out than is needed.")
	even := sewnIn(t, reckon.Reckon(nineHalves(1), nil)).Text
	assert.NotContains(t, even, "comes out")
	plain := nineHalves(0, func(p *plan.Plan) { p.Pieces["front"].Face.Cloths = []string{"A"} })
	assert.Contains(t, sewnIn(t, reckon.Reckon(plain, nil)).Text, "by itself: cut a square in two on its diagonal")
	assert.Equal(t, []int{8}, whole(reckon.Reckon(plain, nil)))
	assert.Equal(t, []int{5, 5}, whole(reckon.Reckon(nineHalves(0), nil)))
	many := nineHalves(0, func(p *plan.Plan) { p.Habits.Triangles = plan.ManyTriangles })
	assert.Equal(t, []int{1, 1, 0, 0}, whole(reckon.Reckon(many, nil)), "beside those for eight")
	exact := nineHalves(0, func(p *plan.Plan) { p.Habits.Triangles = plan.ExactTriangles })
	assert.NotContains(t, sewnIn(t, reckon.Reckon(exact, nil)).Text, "One more")
	assert.Equal(t, []int{0, 0}, whole(reckon.Reckon(exact, nil)))
}

// Sewn two at a time as the steps say, whatever triangles a block has: pairs of whole squares, the last of an odd
// number by itself where no whole unit is over. The squares that are cut do for it, and no more than a half of each
// cloth stays.
func TestTheSquaresDoForTwoAtATime(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		columns, rows := rapid.IntRange(1, 3).Draw(t, "columns"), rapid.IntRange(1, 3).Draw(t, "rows")
		letter := rapid.SampledFrom([]string{"A", "B", "C", "D"})
		var cells []string
		for range rapid.IntRange(2, 4).Draw(t, "units") {
			a := letter.Draw(t, "above")
			b := letter.Filter(func(l string) bool { return l != a }).Draw(t, "below")
			cells = append(cells, "("+a+" / "+b+")")
		}
		p := nineHalves(0, func(p *plan.Plan) {
			f := p.Pieces["front"].Face
			f.Block, f.Cloths = plan.Block{Cells: strings.Join(cells, " | ")}, []string{"A", "B", "C", "D"}
			f.Patch.Width, f.Patch.Height = (2 * in).Times(len(cells)), 2*in
			f.Columns, f.Rows = columns, rows
			p.Object.Width, p.Object.Height = f.Patch.Width.Times(columns)+in, (2*in).Times(rows)+in
			p.Copies, p.Back.Overlap = rapid.IntRange(1, 3).Draw(t, "copies"), ptr(in)
		})
		for _, c := range p.Pieces["front"].Face.Cloths {
			p.Cloths[c] = plan.Cloth{Name: "cloth " + c}
		}
		r := reckon.Reckon(p, nil)
		require.NotEmpty(t, r.Units, "%v", r.Findings)
		halves := map[string]int{}
		for _, u := range r.Units {
			n := u.Need + u.Over
			assert.LessOrEqual(t, u.Over, 1)
			for _, cloth := range u.Cloths {
				halves[cloth] += n
			}
		}
		for _, c := range r.Cuts {
			if c.Gives == 2 {
				assert.LessOrEqual(t, c.Whole, c.Total)
				assert.Equal(t, (halves[c.Cloth]+1)/2, c.Total, "cloth %s", c.Cloth)
			}
		}
	})
}
