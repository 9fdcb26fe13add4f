package practice_test

import (
	"math"
	"regexp"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/length"
	"umschlag/core/practice"
)

var size = regexp.MustCompile(`[\d⅛¼⅜½⅝¾⅞]+″|[\d.]+ cm`)

// asked are the sizes a question names, in its order.
func asked(t *testing.T, e practice.Exercise, unit length.Unit) []length.Length {
	var out []length.Length
	for _, text := range size.FindAllString(e.Question, -1) {
		l, err := length.Parse(text, unit)
		require.NoError(t, err, e.Question)
		out = append(out, l)
	}
	return out
}

// The answer to every question, from nothing but what the question says (common practice, no published source).
var answers = map[practice.Kind]func(said []length.Length) float64{
	practice.Cut:      func(s []length.Length) float64 { return (s[0] + 2*s[1]).Float() },
	practice.Overlap:  func(s []length.Length) float64 { return (2*(s[0]-2*s[1]) - s[2]).Float() },
	practice.Measured: func(s []length.Length) float64 { return (s[1]+s[2]).Float()/2 + 2*s[3].Float() },
	practice.Corner: func(s []length.Length) float64 {
		return 2*(s[0]-s[1]).Float() + (s[0] - 2*s[1]).Float() + math.Pi*s[1].Float()
	},
}

// ranges are the least and the most of each size a question names, in steps of its tape: all of a size that is sewn.
var ranges = map[practice.Kind][][2]int{
	practice.Cut:      {{12, 120}, {2, 4}},
	practice.Overlap:  {{64, 116}, {2, 4}, {96, 160}},
	practice.Corner:   {{80, 160}, {8, 24}},
	practice.Measured: {{96, 160}, {90, 159}, {24, 40}, {2, 4}},
}

// half of a step is what an answer may be off where it does not lie on the tape.
var within = map[practice.Kind]int{practice.Corner: 2, practice.Measured: 2}

func TestEveryQuestionIsAnsweredByWhatItSays(t *testing.T) {
	for unit, step := range map[length.Unit]length.Length{length.Inches: length.Inch / 8,
		length.Centimetres: 2 * length.Millimetre} {
		for kind, answer := range answers {
			least, most := make([]int, len(ranges[kind])), make([]int, len(ranges[kind]))
			for number := range 3000 {
				e, ok := practice.Of(kind, number, styles[unit])
				require.True(t, ok)
				said := asked(t, e, unit)
				require.Len(t, said, len(ranges[kind]), e.Question)
				assert.InDelta(t, answer(said), e.Answer.Total().Float(), 2, e.Question)
				for i, l := range said {
					require.True(t, l.OnStep(step), e.Question)
					n := int(l / step)
					if least[i] == 0 || n < least[i] {
						least[i] = n
					}
					most[i] = max(most[i], n)
				}
				want := length.Length(0)
				if within[kind] > 0 {
					want = step / 2
				}
				assert.Equal(t, want, e.Within)
			}
			for i, r := range ranges[kind] {
				assert.GreaterOrEqual(t, least[i], r[0], "%s %d in %s", kind, i, unit)
				assert.LessOrEqual(t, most[i], r[1], "%s %d in %s", kind, i, unit)
				if r[1]-r[0] < 20 { // of few, both ends are asked at times
					assert.Equal(t, r, [2]int{least[i], most[i]}, "%s %d in %s", kind, i, unit)
				}
			}
		}
	}
}

// The tape is read anywhere on its first inches, and says where.
func TestTheTapeIsReadEverywhere(t *testing.T) {
	for unit, step := range map[length.Unit]length.Length{length.Inches: length.Inch / 8,
		length.Centimetres: 2 * length.Millimetre} {
		marks := map[length.Length]bool{}
		for number := range 2000 {
			e, _ := practice.Of(practice.Tape, number, styles[unit])
			assert.Equal(t, e.Mark, e.Answer.Total())
			assert.False(t, e.Right(e.Mark+step/8), "a tape is read to its lines")
			marks[e.Mark] = true
		}
		for n := 1; n <= 64; n++ {
			assert.True(t, marks[step.Times(n)], n)
		}
		assert.Len(t, marks, 64)
	}
}

// A measured front is one to six steps short; whatever is forgotten of an answer is named.
func TestWhatIsForgottenIsNamed(t *testing.T) {
	short := map[length.Length]bool{}
	for number := range 500 {
		e, _ := practice.Of(practice.Measured, number, styles[length.Inches])
		said := asked(t, e, length.Inches)
		short[(said[0]-said[1])/(length.Inch/8)] = true
		right := e.Answer.Total()
		assert.Contains(t, e.Slip(right-said[3]), "hem, first fold")
		assert.Equal(t, "That is without any seams or hems.", e.Slip(right-2*said[3]+said[3]/16))
		if said[2]/2 != said[3] && (said[2]/2-2*said[3]).Abs() > e.Within {
			assert.Contains(t, e.Slip(right-said[2]/2), "half the overlap")
		}
		assert.True(t, e.Right(right+e.Within))
		assert.False(t, e.Right(right+e.Within+1))
		assert.Empty(t, e.Slip(right+40*length.Inch))
	}
	assert.Equal(t, map[length.Length]bool{1: true, 2: true, 3: true, 4: true, 5: true, 6: true}, short)
}
