package place_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/place"
	_ "umschlag/seeded"
)

const in = length.Inch

func ptr(l length.Length) *length.Length { return &l }

func TestAlong(t *testing.T) {
	assert.Equal(t, 3*in, place.Along(ptr(3*in), nil, 20*in, 4*in))
	assert.Equal(t, 13*in, place.Along(nil, ptr(3*in), 20*in, 4*in))
	assert.Equal(t, 8*in, place.Along(nil, nil, 20*in, 4*in))
	assert.Equal(t, -in, place.Along(ptr(-in), nil, 20*in, 4*in), "beyond an edge")
}

// Where something is put is where it lies again, to half a ruler step, and what may not
// leave its piece does not.
func TestAPlaceIsFoundAgain(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		draw := func(name string, lo, hi length.Length) length.Length {
			return length.Length(rapid.Int64Range(int64(lo), int64(hi)).Draw(t, name))
		}
		r := place.Ray{Whole: 20 * in, Size: draw("size", in, 12*in), Step: in / 8, Free: rapid.Bool().Draw(t, "free")}
		x := draw("x", -4*in, 24*in)
		var near, far *length.Length
		if rapid.Bool().Draw(t, "from the far end") {
			far = ptr(0)
		}
		near, far = r.Place(x, near, far)
		at := place.Along(near, far, r.Whole, r.Size)
		if r.Free {
			assert.LessOrEqual(t, (at - x).Abs(), in/8)
			return
		}
		assert.GreaterOrEqual(t, at, -in/8)
		assert.LessOrEqual(t, at+r.Size, r.Whole+in/8)
	})
}
