package press_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/block"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/press"
	"umschlag/core/sum"
	_ "umschlag/seeded"
)

const in = length.Inch

func size(w, h length.Length) sum.Size {
	return sum.Size{Width: sum.Of(sum.Part, "", w), Height: sum.Of(sum.Part, "", h)}
}

// face is a grid whose patches finish 4 in.
func face(t require.TestingT, f plan.Face) front.Face {
	across, down := 4*in, 4*in
	f.Kind, f.Patch = plan.GridFace, plan.Patch{Width: across, Height: down}
	if len(f.Cloths) == 0 {
		f.Cloths = []string{"A", "B"}
	}
	w, h := across.Times(f.Columns), down.Times(f.Rows)
	if f.Sash != nil {
		w, h = w+in.Times(f.Columns-1), h+in.Times(f.Rows-1)
	}
	if f.Set == plan.OnPoint {
		w, h = 2*w, 2*h
	}
	built, found := front.Build(front.Order{Face: f, Finished: size(w, h), Trimmed: size(w+in/2, h+in/2),
		Top: size(w+in/2, h+in/2), Seam: in / 4, Step: in / 8,
		Style: length.Style{Unit: length.Inches}})
	require.False(t, found.Stopped(), "%v", found)
	return built
}

func TestRowsNestWhateverTheGrid(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		f := plan.Face{Columns: rapid.IntRange(1, 9).Draw(t, "c"), Rows: rapid.IntRange(1, 9).Draw(t, "r"),
			Set: rapid.SampledFrom([]plan.Setting{plan.Straight, plan.OnPoint}).Draw(t, "set")}
		if f.Set == plan.Straight && rapid.Bool().Draw(t, "sash") {
			f.Sash = &plan.Sash{Width: in, Posts: rapid.Bool().Draw(t, "posts")}
		}
		built := face(t, f)
		p := press.Of(press.Order{Face: built, School: plan.PressNest})
		assert.Empty(t, p.Conflicts, "allowances lie to opposite sides wherever rows meet")
		for row := 1; row < len(built.Bands) && f.Columns > 1 && f.Sash == nil; row++ {
			assert.NotEqual(t, p.Rows[row], p.Rows[row+1])
		}
	})
}

func TestSeamsGoTowardsTheSashes(t *testing.T) {
	built := face(t, plan.Face{Columns: 3, Rows: 2, Sash: &plan.Sash{Width: in, Posts: true}})
	p := press.Of(press.Order{Face: built, School: plan.PressNest})
	require.Empty(t, p.Conflicts)
	for i, s := range built.Seams {
		if s.Kind != front.InBand {
			continue
		}
		role := func(cell int) front.Role { return built.Parts[built.Cells[cell].Part].Role }
		left := p.Sides[i] == press.Left
		towards := map[bool]int{s.Y1 > s.Y2: s.Left, s.Y1 < s.Y2: s.Right}[true]
		if !left {
			towards = map[bool]int{s.Y1 > s.Y2: s.Right, s.Y1 < s.Y2: s.Left}[true]
		}
		assert.Equal(t, front.ShortSash, role(towards))
	}
	assert.Equal(t, press.ToSash, p.Rows[1])
}

// Blocks side by side lock when every second one is pressed the other way: so do all of
// the library, straight and on point, but the two whose diagonals run on from corner to
// corner, through blocks that are pressed alike.
func TestBlocksNestByTurns(t *testing.T) {
	for _, n := range block.Library() {
		for _, set := range []plan.Setting{plan.Straight, plan.OnPoint} {
			built := face(t, plan.Face{Columns: 3, Rows: 3, Set: set, Block: plan.Block{Name: n.Name},
				Cloths: []string{"A", "B", "C", "D", "E"}})
			p := press.Of(press.Order{Face: built, School: plan.PressNest})
			require.Len(t, p.Sides, len(built.Seams))
			assert.Equal(t, runsOn[n.Name], len(p.Conflicts) > 0, "%s %s: %d", n.Name, set, len(p.Conflicts))
			for _, c := range p.Conflicts {
				assert.Equal(t, p.Sides[c.Seams[0]], p.Sides[c.Seams[1]], "what is found is one")
			}
		}
	}
	nine := press.Of(press.Order{Face: face(t, plan.Face{Columns: 2, Rows: 2, Block: plan.Block{Name: "nine-patch"}}),
		School: plan.PressNest})
	assert.True(t, nine.Alternate)
}

// runsOn are the blocks whose diagonals run on from corner to corner.
var runsOn = map[string]bool{"half-square": true, "hourglass": true}

func TestTheOtherSchools(t *testing.T) {
	built := face(t, plan.Face{Columns: 3, Rows: 3})
	for _, o := range []press.Order{{Face: built, School: plan.PressOpen},
		{Face: built, School: plan.PressCrossed, Quilted: true}} {
		for _, side := range press.Of(o).Sides {
			assert.Equal(t, press.Open, side)
		}
	}
	assert.Equal(t, press.Left, press.Of(press.Order{Face: built, School: plan.PressCrossed}).Rows[1],
		"nested where nothing is quilted")
	tone := func(cloth string) (float64, bool) { return map[string]float64{"A": 0.2, "B": 0.8}[cloth], true }
	dark := press.Of(press.Order{Face: built, School: plan.PressDark, Tone: tone})
	for i, s := range built.Seams {
		if s.Kind == front.InBand {
			onLeft := built.Parts[built.Cells[s.Left].Part].Cloth == "A"
			assert.Equal(t, onLeft, dark.Sides[i] == press.Left, "towards the dark fabric")
		}
	}
	assert.Empty(t, dark.Conflicts, "dark and light in turn nest by themselves")
	same := press.Of(press.Order{Face: face(t,
		plan.Face{Columns: 3, Rows: 3,
			Order: plan.Order{Kind: plan.Rows, Rows: [][]string{{"A", "B", "A"}, {"A", "B", "A"}, {"A", "B", "A"}}}}),
		School: plan.PressDark, Tone: tone})
	assert.Len(t, same.Conflicts, 4, "in columns of one fabric they do not")
	assert.Equal(t, press.Dark, press.Of(press.Order{Face: built, School: plan.PressDark}).Rows[1],
		"by eye where no colours are known")
}

// Whatever the school, a border's allowance lies towards the border, as its step says.
func TestBordersArePressedOutwards(t *testing.T) {
	built, found := front.Build(front.Order{Finished: size(12*in, 12*in), Trimmed: size(25*in/2, 25*in/2),
		Top: size(25*in/2, 25*in/2), Seam: in / 4, Step: in / 8, Style: length.Style{Unit: length.Inches},
		Face: plan.Face{Kind: plan.GridFace, Columns: 2, Rows: 2, Patch: plan.Patch{Width: 4 * in, Height: 4 * in},
			Cloths:  []string{"A", "B"},
			Borders: []plan.Border{{Width: plan.Extent{Width: 2 * in}, Cloth: "C"}}}})
	require.False(t, found.Stopped())
	for _, school := range []plan.Press{plan.PressNest, plan.PressOpen, plan.PressDark, plan.PressCrossed} {
		p := press.Of(press.Order{Face: built, School: school, Quilted: true})
		got := map[press.Side]int{}
		for i, s := range built.Seams {
			if s.Kind == front.Round {
				got[p.Sides[i]]++
				at := map[press.Side]bool{press.Left: s.X1 < (6 * in).Float(), press.Right: s.X1 > (6 * in).Float(),
					press.Up: s.Y1 < (6 * in).Float(), press.Down: s.Y1 > (6 * in).Float()}
				assert.True(t, at[p.Sides[i]], "outwards")
			}
		}
		assert.Equal(t, map[press.Side]int{press.Left: 1, press.Right: 1, press.Up: 1, press.Down: 1}, got,
			string(school))
	}
}

// The whole plan turned over: seams drawn the other way are pressed the same.
func TestAPlanDoesNotHangOnTheWaySeamsAreDrawn(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		built := face(t, plan.Face{Columns: rapid.IntRange(2, 5).Draw(t, "c"), Rows: rapid.IntRange(2, 5).Draw(t, "r"),
			Block: plan.Block{Name: rapid.SampledFrom([]string{"four-patch", "nine-patch", "pinwheel", "ohio-star"}).
				Draw(t, "block")}})
		p := press.Of(press.Order{Face: built, School: plan.PressNest})
		turned := built
		turned.Seams = append([]front.Seam(nil), built.Seams...)
		for i := range turned.Seams {
			if s := &turned.Seams[i]; s.Kind == front.InBand && rapid.Bool().Draw(t, "turn") {
				s.X1, s.Y1, s.X2, s.Y2, s.Left, s.Right = s.X2, s.Y2, s.X1, s.Y1, s.Right, s.Left
				s.Group.Of += " turned"
			}
		}
		assert.Len(t, press.Of(press.Order{Face: turned, School: plan.PressNest}).Conflicts, len(p.Conflicts))
	})
}

// Seams of one kind may be pressed otherwise than all others: rows in turn, the seams that join them open.
func TestEachLevelIsPressedAsItIsDecided(t *testing.T) {
	f := face(t, plan.Face{Columns: 4, Rows: 4, Block: plan.Block{Name: "pinwheel"}})
	h := plan.DefaultHabits(length.Inches)
	h.PressJoins = plan.PressOpen
	all, at := press.Schools(h)
	p := press.Of(press.Order{Face: f, School: all, At: at})
	nested := press.Of(press.Order{Face: f, School: plan.PressNest})
	for i, s := range f.Seams {
		if s.Kind == front.Between {
			assert.Equal(t, press.Open, p.Sides[i])
		} else {
			assert.Equal(t, nested.Sides[i], p.Sides[i])
		}
	}
	assert.Equal(t, nested.Rows, p.Rows)
	assert.Equal(t, press.Open, p.Between[1])
	assert.Empty(t, p.Conflicts)

	h = plan.DefaultHabits(length.Inches)
	h.Press, h.PressBlocks = plan.PressOpen, plan.PressNest
	all, at = press.Schools(h)
	p = press.Of(press.Order{Face: f, School: all, At: at})
	for i, s := range f.Seams {
		if s.Kind == front.InBlock {
			assert.Equal(t, nested.Sides[i], p.Sides[i])
		} else {
			assert.Equal(t, press.Open, p.Sides[i], s.Kind)
		}
	}
	bordered := face2(t)
	for school, want := range map[plan.Press]bool{"": false, plan.PressOpen: true} {
		h = plan.DefaultHabits(length.Inches)
		h.PressBorders = school
		all, at = press.Schools(h)
		p = press.Of(press.Order{Face: bordered, School: all, At: at})
		for i, s := range bordered.Seams {
			if s.Kind == front.Round {
				assert.Equal(t, want, p.Sides[i] == press.Open, "to the border, or open where that is asked for")
			}
		}
	}
}

// face2 is a grid inside a border.
func face2(t require.TestingT) front.Face {
	f := plan.Face{Kind: plan.GridFace, Columns: 2, Rows: 2, Patch: plan.Patch{Width: 4 * in, Height: 4 * in},
		Cloths: []string{"A"}, Borders: []plan.Border{{Width: plan.Extent{Width: in}, Cloth: "B"}}}
	built, found := front.Build(front.Order{Face: f, Finished: size(10*in, 10*in), Trimmed: size(21*in/2, 21*in/2),
		Top: size(21*in/2, 21*in/2), Seam: in / 4, Step: in / 8, Style: length.Style{Unit: length.Inches}})
	require.False(t, found.Stopped(), "%v", found)
	return built
}
