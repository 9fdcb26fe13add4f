package demo_test

import (
	"slices"
	"testing"

	"umschlag/atbench"
	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
	"umschlag/core/work"
	"umschlag/demo"
	"umschlag/format/planfile"
)

// The lays of the demo, read without what made them: strips one after another over the
// whole length, columns of one width beside each other in each, and nothing beyond the
// selvedges, over the cut of another piece, against the grain or of another size than it is cut to.
func TestTheDemoLaysCanBeCutWithARuler(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	for name, data := range plans {
		p, err := planfile.Read(data)
		require.NoError(t, err, name)
		r := reckon.Reckon(p, nil)
		placed := map[int]int{}
		for _, c := range r.Cloths {
			cloth, _ := p.Settle().Cloth(c.Cloth)
			readStrips(t, name, c.Lay)
			readTimes(t, name, c.Lay, r.Cuts)
			for i, at := range c.Lay.Placed {
				placed[at.Cut]++
				readPiece(t, name, c.Lay, i, r.Cuts[at.Cut], cloth.Print)
			}
			assert.LessOrEqual(t, c.Lay.Bound.NM, c.Lay.Length.NM+1, "%s: %s", name, c.Name)
			assert.Contains(t, []string{"area", "tallest", "width", "heights", "motifs"}, c.Lay.Limit)
		}
		for i, cut := range r.Cuts {
			if placed[i] > 0 || !cut.Done {
				assert.Equal(t, cut.Total, placed[i], "%s: %s", name, cut.ID)
			}
		}
	}
}

func readStrips(t *testing.T, name string, l answer.Lay) {
	t.Helper()
	end := int64(0)
	for _, s := range l.Strips {
		assert.Equal(t, end, s.Y.NM, name)
		end += s.Height.NM
	}
	assert.Equal(t, end, l.Length.NM, name)
}

// readTimes reads whether a strip can be cut first for what is cut first: a column is cut at one time, and what waits
// lies behind what does not, but for a back with an edge on a selvedge.
func readTimes(t *testing.T, name string, l answer.Lay, cuts []answer.Cut) {
	t.Helper()
	waits := map[[2]int]bool{}
	ends, begins := map[int]int64{}, map[int]int64{}
	for _, at := range l.Placed {
		cut, column := cuts[at.Cut], [2]int{at.Strip, at.Column}
		is := cut.Waits != "" && !cut.Done
		if was, known := waits[column]; known {
			assert.Equal(t, was, is, "%s: a column of strip %d is cut at two times", name, at.Strip)
		}
		waits[column] = is
		if from, known := begins[at.Strip]; is && !cut.Selvedge && (!known || at.X.NM < from) {
			begins[at.Strip] = at.X.NM
		} else if !is {
			ends[at.Strip] = max(ends[at.Strip], at.X.NM)
		}
		assert.LessOrEqual(t, at.Width.NM, at.Room.Width.NM, "%s: %s", name, cut.ID)
		assert.LessOrEqual(t, at.Height.NM, at.Room.Height.NM, "%s: %s", name, cut.ID)
		if is {
			assert.Less(t, at.Width.NM+at.Height.NM, at.Room.Width.NM+at.Room.Height.NM,
				"%s: %s may come out larger, and nothing is kept for that", name, cut.ID)
		}
	}
	for strip, from := range begins {
		if _, now := ends[strip]; !now {
			continue
		}
		assert.Less(t, ends[strip], from, "%s: what is cut first of strip %d lies first", name, strip)
	}
}

func readPiece(t *testing.T, name string, l answer.Lay, i int, cut answer.Cut, print plan.Print) {
	t.Helper()
	at := l.Placed[i]
	w, h := cut.Width.NM, cut.Height.NM
	if at.Turned {
		w, h = h, w
		assert.Contains(t, []plan.Print{plan.PlainPrint, plan.AllOver}, print, "%s: %s is turned on a print", name,
			cut.ID)
	}
	assert.Equal(t, []int64{w, h}, []int64{at.Width.NM, at.Height.NM}, "%s: %s", name, cut.ID)
	strip := l.Strips[at.Strip-1]
	if cut.Selvedge {
		assert.True(t, at.X.NM == 0 || at.X.NM+w == l.Width.NM, "%s: %s has no edge on a selvedge", name, cut.ID)
	}
	if cut.Motif != "" {
		readCentred(t, name, l, at, cut)
		return
	}
	above := int64(0)
	for _, other := range l.Placed[:i] {
		if other.Strip == at.Strip && other.Column == at.Column {
			assert.Equal(t, []int64{at.Room.X.NM, at.Room.Width.NM}, []int64{other.Room.X.NM, other.Room.Width.NM},
				"%s: %s is not as wide as its column", name, cut.ID)
			above += other.Room.Height.NM
		}
	}
	assert.Equal(t, strip.Y.NM+above, at.Y.NM, "%s: %s is cut where its column ends", name, cut.ID)
	assert.LessOrEqual(t, above+h, strip.Height.NM, "%s: %s", name, cut.ID)
	assert.GreaterOrEqual(t, at.X.NM, int64(0))
	assert.LessOrEqual(t, at.X.NM+w, l.Width.NM, "%s: %s lies beyond the selvedge", name, cut.ID)
	for _, other := range l.Placed[:i] {
		apart := other.Strip != at.Strip || other.Column == at.Column || other.X.NM+other.Width.NM <= at.X.NM ||
			at.X.NM+w <= other.X.NM
		assert.True(t, apart, "%s: %s lies where another piece is cut off", name, cut.ID)
	}
}

// readCentred reads a piece with a motif in its middle: it lies within its strip, and its
// middle as far from that of every other one as whole repeats are.
func readCentred(t *testing.T, name string, l answer.Lay, at answer.Placed, cut answer.Cut) {
	t.Helper()
	strip := l.Strips[at.Strip-1]
	assert.GreaterOrEqual(t, at.Y.NM, strip.Y.NM, "%s: %s", name, cut.ID)
	assert.LessOrEqual(t, at.Y.NM+at.Height.NM, strip.Y.NM+strip.Height.NM, "%s: %s", name, cut.ID)
	first := l.Placed[0]
	const across, along = 6 * 25_400_000, 21 * 25_400_000 / 4
	assert.Zero(t, (at.X.NM+at.Width.NM/2-first.X.NM-first.Width.NM/2)%across, "%s: %s", name, cut.ID)
	assert.Zero(t, (at.Y.NM+at.Height.NM/2-first.Y.NM-first.Height.NM/2)%along, "%s: %s", name, cut.ID)
}

// The steps of the demo: every cut is used by one of them, nothing needs what comes later,
// and what waits for a gate is cut after it.
func TestTheDemoStepsCanBeFollowed(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	for name, data := range plans {
		p, err := planfile.Read(data)
		require.NoError(t, err, name)
		r := reckon.Reckon(p, nil)
		assert.Empty(t, atbench.Sew(p.Settle(), r), name)
		at, gates, used := map[string]bool{}, map[string]bool{}, map[string]int{}
		waits := map[string]string{}
		for _, c := range r.Cuts {
			waits[c.ID] = c.Waits
		}
		for _, s := range r.Steps {
			for _, id := range s.Needs {
				assert.True(t, at[id], "%s: %s needs %s", name, s.ID, id)
			}
			for _, id := range s.Cuts {
				used[id]++
				assert.True(t, waits[id] == "" || gates[waits[id]], "%s: %s is cut before %s", name, id, waits[id])
			}
			undrawn := []ref.Role{ref.DoCutOuter, ref.DoCutUnder, ref.DoCutBack, ref.DoMeasure, ref.DoLayOut,
				ref.DoSample, ref.DoCutBorders}
			drawn := len(s.Stack) > 0 || slices.Contains(undrawn, s.About.Role) || s.Stage == string(work.Closing)
			assert.True(t, drawn, "%s: it is not said what lies on what when %s", name, s.ID)
			if s.Turned && len(s.Stack) > 0 && s.About.Role != ref.DoHem && s.About.Role != ref.DoFold &&
				s.About.Role != ref.DoBottom {
				assert.Equal(t, work.WrongUp, s.Stack[len(s.Stack)-1].Up, "%s: %s", name, s.ID)
			}
			at[s.ID] = true
			if s.Gate != "" {
				gates[s.Gate] = true
			}
		}
		for _, c := range r.Cuts {
			want := 1
			if _, ticked := p.Progress.Cut[c.ID]; c.Done && !ticked {
				want = 0 // it was there already
			}
			assert.Equal(t, want, used[c.ID], "%s: %s", name, c.ID)
		}
	}
}
