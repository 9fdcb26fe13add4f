package answer_test

import (
	"testing"

	"github.com/stretchr/testify/assert"

	"umschlag/core/answer"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// What a fabric gives is told of its length, of offcuts, or of both; of nothing as that.
func TestWhatIsTakenOfAFabric(t *testing.T) {
	odd := func(count int) answer.OddLay {
		return answer.OddLay{Count: count, Width: answer.L{Text: "9″"}, Length: answer.L{Text: "14″"}}
	}
	half := answer.L{NM: 1, Text: "½ yd"}
	for says, n := range map[string]answer.ClothNeed{
		"takes nothing more":             {},
		"takes ½ yd":                     {Need: half},
		"comes from an offcut, 9″ × 14″": {Odd: []answer.OddLay{odd(1)}},
		"comes from an offcut, 9″ × 14″ and 2 offcuts, 9″ × 14″ each": {Odd: []answer.OddLay{odd(1), odd(2)}},
		"takes ½ yd, and 3 offcuts, 9″ × 14″ each":                    {Need: half, Odd: []answer.OddLay{odd(3)}},
	} {
		assert.Equal(t, says, n.Takes())
	}
}

// A move is read with what is done then, and beside a drawing with the numbers of its cuts, each once, from 1.
func TestAMoveAsItIsRead(t *testing.T) {
	m := answer.Move{Title: "Ruler to 4″"}
	assert.Equal(t, "Ruler to 4″.", m.Sentence())
	assert.Equal(t, "Ruler to 4″.", m.Numbered())
	m.Text = "Cut strip 1."
	assert.Equal(t, "Ruler to 4″. Cut strip 1.", m.Sentence())
	m.Parts = []answer.MovePart{{Cut: 2}, {Cut: 0}, {Cut: 2}}
	assert.Equal(t, "Ruler to 4″. Cut strip 1. (3, 1)", m.Numbered())
}

// Two terms are one thing twice where they are called and written alike and differ by no more than dividing leaves.
func TestTermsThatAreAlike(t *testing.T) {
	again := func(name string, more length.Length) bool {
		third := (16 * length.Inch).Div(3)
		terms := answer.TermsOf(sum.Of(sum.Part, "patch", third).Plus(sum.Part, name, third+more),
			length.Style{Unit: length.Inches})
		return terms[1].Again
	}
	assert.True(t, again("patch", 0))
	assert.True(t, again("patch", length.Hair))
	assert.False(t, again("sash", 0), "called otherwise")
	assert.False(t, again("patch", length.Inch/8), "of another size")
	assert.False(t, again("patch", length.Hair+1), "by more than dividing leaves over")
}

// Fabrics are washed first where that is said and nothing is cut, and only the first step that cuts waits until they
// are dry; what is done or left out is no task, and of several covers those count that are not through a step.
func TestTasksAreWhatIsLeft(t *testing.T) {
	r := answer.Reckoning{Steps: []answer.Step{{ID: "measure", Minutes: 2}, {ID: "done", Minutes: 3, Done: true},
		{ID: "cut", Minutes: 5, Cuts: []string{"a"}}, {ID: "skipped", Minutes: 7, Cuts: []string{"b"}},
		{ID: "cut-more", Minutes: 11, Cuts: []string{"c"}, Rest: 13}}}
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Cover.Kind, p.Copies = plan.Cushion, 3
	p.Progress.Skipped = map[string]string{"skipped": ""}
	p.Progress.Made = map[string]int{"cut-more": 2, "cut": 5}
	told := func() (ids []string, minutes, waits []int) {
		for _, task := range r.Tasks(p) {
			ids, minutes, waits = append(ids, task.ID), append(minutes, task.Minutes), append(waits, task.Wait)
		}
		return ids, minutes, waits
	}
	ids, minutes, waits := told()
	assert.Equal(t, []string{"measure", "cut", "cut-more"}, ids)
	assert.Equal(t, []int{6, 5, 11}, minutes, "three covers, one that is left, and one at the least")
	assert.Equal(t, []int{0, 0, 0}, waits)
	p.Schedule = &plan.Schedule{Wash: true}
	ids, minutes, waits = told()
	assert.Equal(t, []string{"wash", "measure", "cut", "cut-more"}, ids)
	assert.Equal(t, 30, minutes[0])
	assert.Equal(t, []int{0, 0, 1, 0}, waits, "over night")
	assert.Equal(t, 13, int(r.Tasks(p)[3].Rest))
	p.Progress.Cut = map[string]plan.AsCut{"a": {}}
	ids, _, _ = told()
	assert.NotContains(t, ids, "wash", "what is cut is washed no more")
}

// What is over of 20 in of a fabric of 40: a strip of 16 gives a front and a back of 10, 14 is over beside them and 6
// below the back; 4 of the length. Of each of two offcuts 12 × 10 that give 8 × 10, 4 × 10 is over.
func TestWhatIsOverOfAFabric(t *testing.T) {
	l := func(inches int) answer.L { return answer.L{NM: int64(inches) * int64(length.Inch)} }
	strip := func(high int) answer.Strip { return answer.Strip{Y: l(0), Height: l(high)} }
	placed := func(x, w, h, column int) answer.Placed {
		return answer.Placed{X: l(x), Width: l(w), Height: l(h), Strip: 1, Column: column}
	}
	n := answer.ClothNeed{Length: l(20), Lay: answer.Lay{Width: l(40), Length: l(16), Strips: []answer.Strip{strip(16)},
		Placed: []answer.Placed{placed(0, 16, 16, 1), placed(16, 10, 10, 2)}},
		Odd: []answer.OddLay{{Count: 2, Length: l(10), Lay: answer.Lay{Width: l(12), Length: l(10),
			Strips: []answer.Strip{strip(10)}, Placed: []answer.Placed{placed(0, 8, 10, 1)}}}}}
	odd := func(w, h, count int) lay.Odd {
		return lay.Odd{Width: length.Length(w) * length.Inch, Length: length.Length(h) * length.Inch, Count: count}
	}
	assert.Equal(t, []lay.Odd{odd(40, 4, 1), odd(14, 16, 1), odd(10, 6, 1), odd(4, 10, 2)}, n.Left())
}
