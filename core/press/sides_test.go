package press_test

import (
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/block"
	"umschlag/core/front"
	"umschlag/core/plan"
	"umschlag/core/press"
)

// towards is the direction of each side, right and down.
var towards = map[press.Side][2]float64{press.Left: {-1, 0}, press.Right: {1, 0}, press.Up: {0, -1}, press.Down: {0, 1},
	press.UpLeft: {-1, -1}, press.UpRight: {1, -1}, press.DownLeft: {-1, 1}, press.DownRight: {1, 1}}

// tone knows how light every cloth is but one, and that of sashes.
func tone(cloth string) (float64, bool) {
	if cloth == "" || cloth == "E" {
		return 0, false
	}
	return float64(cloth[0]), true
}

// anyBuilt draws a grid of patches or blocks, straight or on point, with sashes or none.
func anyBuilt(t *rapid.T) front.Face {
	f := plan.Face{Columns: rapid.IntRange(1, 5).Draw(t, "c"), Rows: rapid.IntRange(1, 5).Draw(t, "r"),
		Set:    rapid.SampledFrom([]plan.Setting{plan.Straight, plan.OnPoint}).Draw(t, "set"),
		Cloths: []string{"A", "B", "C", "D", "E"}}
	if rapid.Bool().Draw(t, "blocks") {
		f.Block = plan.Block{Name: rapid.SampledFrom(block.Library()).Draw(t, "block").Name}
	} else if f.Set == plan.Straight && rapid.Bool().Draw(t, "sash") {
		f.Sash = &plan.Sash{Width: in, Posts: rapid.Bool().Draw(t, "posts")}
	}
	return face(t, f)
}

// An allowance lies across its seam, to one side of it; level and upright seams are pressed straight, others slantwise.
func TestAllowancesLieAcrossTheirSeams(t *testing.T) {
	seen := map[press.Side]bool{}
	rapid.Check(t, func(t *rapid.T) {
		built := anyBuilt(t)
		school := rapid.SampledFrom([]plan.Press{plan.PressNest, plan.PressDark, plan.PressCrossed}).Draw(t, "school")
		p := press.Of(press.Order{Face: built, School: school, Tone: tone})
		for i, s := range built.Seams {
			side := p.Sides[i]
			seen[side] = true
			if side == press.Dark {
				assert.Equal(t, plan.PressDark, school)
				continue
			}
			d, known := towards[side]
			require.True(t, known, side)
			dx, dy := s.X2-s.X1, s.Y2-s.Y1
			long := math.Hypot(dx, dy)
			straight := math.Abs(dx) < 1e-6*long || math.Abs(dy) < 1e-6*long
			assert.Equal(t, straight, d[0] == 0 || d[1] == 0, "%v of %v", side, s)
			if straight {
				assert.InDelta(t, 0, (dx*d[0]+dy*d[1])/long, 1e-6, "along the seam")
			} else { // the slant that lies across it, not the one along it
				assert.Greater(t, math.Abs(dx*d[1]-dy*d[0]), math.Abs(dx*d[0]+dy*d[1]))
			}
		}
	})
	assert.Len(t, seen, 9, "all eight sides, and where no colour is known")
}

// Where two seams meet end to end in one line across another one, they lie to opposite sides, or the place is told;
// nothing else is.
func TestEveryMeetingLocksOrIsTold(t *testing.T) {
	met := 0
	rapid.Check(t, func(t *rapid.T) {
		built := anyBuilt(t)
		school := rapid.SampledFrom([]plan.Press{plan.PressNest, plan.PressDark}).Draw(t, "school")
		p := press.Of(press.Order{Face: built, School: school, Tone: tone})
		told := map[[2]int]bool{}
		for _, c := range p.Conflicts {
			told[c.Seams] = true
			assert.Equal(t, p.Sides[c.Seams[0]], p.Sides[c.Seams[1]])
		}
		last := map[front.SeamKind]bool{front.Between: true, front.Round: true, front.Stacked: true}
		found := map[[2]int]bool{}
		for i, a := range built.Seams {
			for j, b := range built.Seams[:i] {
				same := a.Group == b.Group && a.Kind == b.Kind && a.Kind == front.InBand // one seam, sewn in one
				if last[a.Kind] || last[b.Kind] || same || !endToEnd(a, b) {
					continue
				}
				met++
				if p.Sides[i] == p.Sides[j] && p.Sides[i] != press.Open && p.Sides[i] != press.Dark {
					found[[2]int{j, i}] = true
				}
			}
		}
		assert.Equal(t, found, told)
	})
	assert.Greater(t, met, 1000)
}

// endToEnd: two seams share an end and go on in one line.
func endToEnd(a, b front.Seam) bool {
	for _, p := range [][4]float64{{a.X1, a.Y1, a.X2, a.Y2}, {a.X2, a.Y2, a.X1, a.Y1}} {
		for _, q := range [][4]float64{{b.X1, b.Y1, b.X2, b.Y2}, {b.X2, b.Y2, b.X1, b.Y1}} {
			if math.Hypot(p[0]-q[0], p[1]-q[1]) > 800 {
				continue
			}
			ux, uy, vx, vy := p[2]-p[0], p[3]-p[1], q[2]-q[0], q[3]-q[1]
			if (ux*vx+uy*vy)/(math.Hypot(ux, uy)*math.Hypot(vx, vy)) < -0.9999 {
				return true
			}
		}
	}
	return false
}

// A row says what all its seams have in common: one side, or, between patches and sashes, the sashes, or seam by seam.
func TestARowSaysWhatItsSeamsHaveInCommon(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		built := anyBuilt(t)
		school := rapid.SampledFrom([]plan.Press{plan.PressNest, plan.PressDark, plan.PressOpen}).Draw(t, "school")
		p := press.Of(press.Order{Face: built, School: school, Tone: tone})
		rows, between := map[int]map[press.Side]bool{}, map[int]press.Side{}
		for i, s := range built.Seams {
			switch s.Kind {
			case front.InBand:
				if rows[s.Band] == nil {
					rows[s.Band] = map[press.Side]bool{}
				}
				rows[s.Band][p.Sides[i]] = true
			case front.Between:
				if _, there := between[s.Band]; !there {
					between[s.Band] = p.Sides[i]
				}
			}
		}
		assert.Equal(t, between, p.Between)
		sashed := map[int]bool{}
		for _, b := range built.Bands {
			sashed[b.Number] = b.Sashes
		}
		want := map[int]press.Side{}
		for band, sides := range rows {
			for side := range sides {
				want[band] = side
			}
			if sashed[band] && !sides[press.Open] && !sides[press.Dark] {
				want[band] = press.ToSash
			} else if len(sides) > 1 {
				want[band] = press.Dark
			}
		}
		assert.Equal(t, want, p.Rows)
	})
}
