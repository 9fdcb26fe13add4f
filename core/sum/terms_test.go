package sum_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/sum"
	_ "umschlag/seeded"
)

// Terms lie in the order they were put, none is lost, and the sum they were put to stays as it was.
func TestTermsLieAsTheyWerePut(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		amount := func(name string) length.Length { return length.Length(rapid.Int64Range(-50, 50).Draw(t, name)) }
		base := sum.Of(sum.Object, "pad", 100).Plus(sum.Ease, "ease", 3)
		kept := append(sum.Sum{}, base...)
		a, b, n := amount("a"), amount("b"), rapid.IntRange(0, 4).Draw(t, "n")
		s := base.Plus(sum.Seam, "a", a).Between(sum.Hem, "b", b).Then(sum.Repeat(n, sum.Part, "c", 7))
		var want sum.Sum
		if b != 0 {
			want = append(want, sum.Term{Name: "b", Amount: b, Kind: sum.Hem})
		}
		want = append(want, kept...)
		if a != 0 {
			want = append(want, sum.Term{Name: "a", Amount: a, Kind: sum.Seam})
		}
		if b != 0 {
			want = append(want, sum.Term{Name: "b", Amount: b, Kind: sum.Hem})
		}
		for range n {
			want = append(want, sum.Term{Name: "c", Amount: 7, Kind: sum.Part})
		}
		assert.Equal(t, want, s)
		assert.Equal(t, 103+a+2*b+length.Length(7*n), s.Total())
		assert.Equal(t, kept, base)
		step := length.Length(rapid.IntRange(1, 40).Draw(t, "step"))
		up := s.UpTo(step)
		assert.Zero(t, up.Total()%step)
		assert.True(t, up.Total() >= s.Total() && up.Total() < s.Total()+step)
	})
}
