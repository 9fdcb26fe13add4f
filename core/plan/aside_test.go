package plan_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/length"
	"umschlag/core/plan"
	_ "umschlag/seeded"
)

func of(cloth string) plan.Piece {
	return plan.Piece{Face: &plan.Face{Kind: plan.PlainFace, Cloth: cloth}}
}

func TestThePiecesOfAHoodComeBackWithItsKind(t *testing.T) {
	own := map[string]plan.Piece{"*": of("A"), "end": of("B")}
	p := plan.Plan{Cover: plan.Cover{Kind: "wrap-hood"}, Pieces: own}
	banded := plan.AsHood(p, "band-hood")
	assert.Equal(t, map[string]plan.Piece{"*": own["*"]}, banded.Pieces)
	assert.Equal(t, own, banded.Cover.Aside["wrap-hood"])
	assert.Equal(t, p, plan.AsHood(banded, "wrap-hood"))

	banded.Pieces = map[string]plan.Piece{"*": of("C")} // decided for all since
	back := plan.AsHood(banded, "wrap-hood")
	assert.Equal(t, own, back.Pieces)
	assert.Equal(t, banded.Pieces, plan.AsHood(back, "band-hood").Pieces)
}

func TestAClosureThatWasOnlyLookedAtIsNotKept(t *testing.T) {
	p := plan.Base(length.Inches, plan.DefaultHabits(length.Inches))
	p.Object, p.Cover.Kind = plan.Object{Kind: plan.Form, Width: 16 * length.Inch,
		Height: 16 * length.Inch}, plan.Cushion
	closure := func(key string) plan.Closure {
		for _, c := range plan.Closures(p.Units) {
			if c.Key == key {
				return c
			}
		}
		return plan.Closure{}
	}
	for _, key := range plan.ClosureKinds.Names() { // one after the other, nothing decided
		p.Back = p.Closed(closure(key))
		assert.Equal(t, key, p.Settle().Back.Closure())
		assert.Empty(t, p.Back.Aside, key)
	}
	p.Back = p.Closed(closure("zip-flap"))
	p.Back.Flap, p.Back.Cloth = length.Inch/2, "B"
	flap := p.Back
	p.Back = p.Closed(closure("sewn"))
	assert.Equal(t, "B", p.Back.Cloth, "the fabric stays")
	assert.Contains(t, p.Back.Aside, "zip-flap")
	p.Back = p.Closed(closure("zip-flap"))
	assert.Equal(t, flap, p.Back)
}

func TestAQuiltingIsKnownByWhatItMakes(t *testing.T) {
	for _, key := range plan.Patterns.Names() {
		pattern, _ := plan.Patterns.Of(key)
		assert.Equal(t, key, pattern.Make(5*length.Inch/2).Pattern())
	}
	lines := plan.Quilting{Lines: []plan.LineFamily{{Pitch: length.Inch, Angle: 30}}}
	assert.Equal(t, plan.OwnPattern, lines.Pattern())
	lines.Lines[0].Angle, lines.Ditch = 90, true
	assert.Equal(t, "upright", lines.Pattern(), "what is sewn with lines goes by the lines")
}

func TestAnotherQuiltingIsAsFarApartAndTheFirstComesBack(t *testing.T) {
	const usual = length.Inch
	own := plan.Quilting{Lines: []plan.LineFamily{{Pitch: 3 * usual / 4, Angle: 90}}, Pair: usual / 8}
	rounds := own.As("echo", usual)
	assert.Equal(t, plan.Quilting{Echo: 3 * usual / 4, Aside: map[string]plan.Quilting{"upright": own}}, rounds)
	assert.Equal(t, own, rounds.As("upright", usual))
	assert.Equal(t, plan.Quilting{Free: 3 * usual / 4}, plan.Quilting{Echo: 3 * usual / 4}.As("free", usual))
	assert.Equal(t, plan.Quilting{Free: usual}, plan.Quilting{}.As("free", usual))
	assert.Empty(t, plan.Quilting{Free: usual}.As("none", usual).Aside, "what was only looked at is not kept")
}

// A grid of another size keeps the pattern of its rows, and no patch that it has not.
func TestAGridIsRefitted(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		count := rapid.IntRange(1, 9)
		f := plan.Face{Kind: plan.GridFace, Columns: 1 + count.Draw(t, "columns"), Rows: count.Draw(t, "rows"),
			Order: plan.Order{Kind: plan.Rows}}
		for range count.Draw(t, "given") {
			f.Order.Rows = append(f.Order.Rows, rapid.SliceOfN(rapid.SampledFrom([]string{"A", "B"}), 1, 9).
				Draw(t, "row"))
		}
		for range count.Draw(t, "kept") {
			f.Keep = append(f.Keep, plan.Kept{Row: count.Draw(t, "row"), Column: count.Draw(t, "column"), Cloth: "A"})
		}
		if rapid.Bool().Draw(t, "on point") {
			f.Set = plan.OnPoint
		}
		g := f.Refitted()
		for r, columns := range g.Shape() {
			assert.Len(t, g.Order.Rows[r], columns)
			given := f.Order.Rows[r%len(f.Order.Rows)]
			for c, cloth := range g.Order.Rows[r] {
				assert.Equal(t, given[c%len(given)], cloth)
			}
		}
		for _, k := range f.Keep {
			fits := k.Row <= len(f.Shape()) && k.Column <= f.Shape()[min(k.Row, len(f.Shape()))-1]
			assert.Equal(t, fits, contains(g.Keep, k))
		}
		assert.Equal(t, g, g.Refitted(), "once is enough")
	})
	assert.Equal(t, plan.Face{Columns: 201}, plan.Face{Columns: 201}.Refitted(), "what is refused is left")
}

func contains(list []plan.Kept, k plan.Kept) bool {
	for _, other := range list {
		if other == k {
			return true
		}
	}
	return false
}

func TestOnPointHasNoSash(t *testing.T) {
	f := plan.Face{Kind: plan.GridFace, Columns: 2, Rows: 2, Sash: &plan.Sash{Width: length.Inch},
		Patch: plan.Patch{Width: 4}}
	point := f.As(plan.OnPoint)
	assert.Nil(t, point.Sash)
	assert.True(t, point.Patch.Fit)
	assert.Equal(t, f.Sash, f.As(plan.Straight).Sash)
}

func TestAFaceIsFoundByThePathThroughItsParts(t *testing.T) {
	f := plan.Face{Parts: []plan.Part{{}, {Face: plan.Face{Parts: []plan.Part{{Face: plan.Face{Cloth: "C"}}}}}}}
	at, ok := f.At("/parts/1/face/parts/0/face")
	assert.True(t, ok)
	assert.Equal(t, "C", at.Cloth)
	whole, ok := f.At("")
	assert.True(t, ok)
	assert.Same(t, &f, whole)
	for _, path := range []string{"/parts/2/face", "/parts/-1/face", "/parts/x/face", "/parts/1", "/face",
		"/parts/1/face/x"} {
		_, ok := f.At(path)
		assert.False(t, ok, path)
	}
}

// What a pattern begins with lies on the ruler of its unit.
func TestPatternsBeginOnTheRuler(t *testing.T) {
	for unit, step := range map[length.Unit]length.Length{length.Inches: length.Inch / 16,
		length.Centimetres: length.Millimetre, length.Millimetres: length.Millimetre} {
		for _, key := range plan.Patterns.Names() {
			pattern, _ := plan.Patterns.Of(key)
			q := pattern.Make(plan.StartsIn(unit).Apart)
			for _, l := range []length.Length{q.Beside, q.Around, q.Echo, q.Free} {
				assert.True(t, l.OnStep(step), "%s in %s: %s", key, unit, l)
			}
		}
	}
}
