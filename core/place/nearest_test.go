package place_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/place"
)

// Against every ruler step there is: a thing is put on the step nearest to where it was brought, counted from the end
// it was counted from or else the nearer one, as close to an end as it may stand; within a step of the middle it stands
// there, unless several of it stand side by side.
func TestTheNearestStepOfAll(t *testing.T) {
	middles := 0
	rapid.Check(t, func(t *rapid.T) {
		draw := func(name string, lo, hi length.Length) length.Length {
			return length.Length(rapid.Int64Range(int64(lo), int64(hi)).Draw(t, name))
		}
		r := place.Ray{Whole: draw("whole", 8*in, 12*in), Size: draw("size", in, 6*in), Step: in / 8,
			Least: draw("least", 0, in), Free: rapid.Bool().Draw(t, "free"), Several: rapid.Bool().Draw(t, "several")}
		room := r.Whole - r.Size
		x := draw("x", -in, room+in)
		if rapid.Bool().Draw(t, "near the middle") {
			x = room/2 + draw("off the middle", -in/4, in/4)
		}
		from := rapid.SampledFrom([]string{"", "near", "far"}).Draw(t, "from")
		var was [2]*length.Length
		switch from {
		case "near":
			was[0] = ptr(0)
		case "far":
			was[1] = ptr(0)
		}
		near, far := r.Place(x, was[0], was[1])
		off := 2*x - room
		if off < 0 {
			off = -off
		}
		if !r.Several && off < r.Step {
			middles++
			assert.Nil(t, near)
			assert.Nil(t, far)
			return
		}
		byFar := from == "far" || from == "" && 2*x > room
		d, is := x, near
		if byFar {
			d, is = room-x, far
			assert.Nil(t, near)
		} else {
			assert.Nil(t, far)
		}
		best := length.Length(-1 << 62)
		for k := -40 * r.Step; k <= r.Whole+40*r.Step; k += r.Step {
			may := r.Free || k >= r.Least && k <= room-r.Least
			if miss := (d - k).Abs(); may && (miss < (d-best).Abs() || miss == (d-best).Abs() && k > best) {
				best = k
			}
		}
		if best >= -40*r.Step { // where there is a step at all
			assert.Equal(t, best, *is)
		}
	})
	assert.Positive(t, middles)
}

// What is larger than its piece, less what it keeps off the ends, stands as close as it may.
func TestWhatHasNoRoomStandsAtItsLeast(t *testing.T) {
	r := place.Ray{Whole: 10 * in, Size: 11 * in, Step: in / 8, Least: in/2 + 1, Several: true}
	near, _ := r.Place(3*in, ptr(0), nil)
	assert.Equal(t, 5*in/8, *near, "half an inch and more, up to the ruler")
}
