package schedule_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/schedule"
	_ "umschlag/seeded"
)

// evenings are an hour on the first, third and fifth day of the week.
var evenings = [7]int{60, 0, 60, 0, 60}

func TestStepsFillTheEvenings(t *testing.T) {
	p := schedule.Of([]schedule.Task{{ID: "cut", Minutes: 40}, {ID: "piece", Minutes: 50}, {ID: "close", Minutes: 15}},
		evenings, nil)
	assert.Equal(t, []schedule.Day{
		{Number: 0, Free: 60, Sittings: []schedule.Sitting{{Task: 0, Minutes: 40, Begins: true, Ends: true},
			{Task: 1, Minutes: 20, Begins: true}}},
		{Number: 2, Free: 60, Sittings: []schedule.Sitting{{Task: 1, Minutes: 30, Ends: true},
			{Task: 2, Minutes: 15, Begins: true, Ends: true}}},
	}, p.Days)
	assert.Equal(t, 2, p.Ends)
}

func TestNobodySitsDownForAFewMinutes(t *testing.T) {
	p := schedule.Of([]schedule.Task{{Minutes: 55}, {Minutes: 30}}, evenings, nil)
	assert.Len(t, p.Days[0].Sittings, 1, "the five minutes left are too short to begin with")
	p = schedule.Of([]schedule.Task{{Minutes: 55}, {Minutes: 5}}, evenings, nil)
	assert.Len(t, p.Days, 1, "but not to end with")
}

func TestWashedClothDriesOverNight(t *testing.T) {
	p := schedule.Of([]schedule.Task{{ID: "wash", Minutes: 20}, {ID: "cut", Minutes: 20, Wait: 1}},
		[7]int{60, 60, 60, 60, 60, 60, 60}, nil)
	assert.Equal(t, []int{0, 1}, []int{p.Days[0].Number, p.Days[1].Number})
}

func TestWhatSlipsWhenAnEveningIsLost(t *testing.T) {
	tasks := []schedule.Task{{Minutes: 60}, {Minutes: 60}}
	assert.Equal(t, []schedule.Slip{{Day: 0, Later: 2}, {Day: 2, Later: 2}}, schedule.Slips(tasks, evenings, nil, 5))
	slack := []schedule.Task{{Minutes: 30}}
	assert.Equal(t, []schedule.Slip{{Day: 0, Later: 2}}, schedule.Slips(slack, evenings, nil, 5))
}

func TestWithoutAnyEveningNothingIsDone(t *testing.T) {
	p := schedule.Of([]schedule.Task{{Minutes: 60}, {Minutes: 5}}, [7]int{}, nil)
	assert.Empty(t, p.Days)
	assert.Equal(t, []int{-1, 65}, []int{p.Ends, p.Left})
	assert.Equal(t, -1, schedule.Of(nil, evenings, nil).Ends)
}

func TestAnyScheduleDoesEverythingOnceAndInOrder(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		tasks := make([]schedule.Task, rapid.IntRange(0, 20).Draw(t, "tasks"))
		all := 0
		for i := range tasks {
			tasks[i] = schedule.Task{Minutes: rapid.IntRange(1, 200).Draw(t, "minutes"),
				Wait: rapid.SampledFrom([]int{0, 0, 0, 1, 2}).Draw(t, "wait")}
			all += tasks[i].Minutes
		}
		var free [7]int
		for i := range free {
			free[i] = rapid.SampledFrom([]int{0, 30, 45, 60, 120}).Draw(t, "free")
		}
		lost := map[int]bool{rapid.IntRange(0, 5).Draw(t, "lost"): true}
		p := schedule.Of(tasks, free, lost)
		done, at, last := p.Left, 0, -1
		for _, d := range p.Days {
			assert.Greater(t, d.Number, last)
			assert.False(t, lost[d.Number])
			assert.Equal(t, free[d.Number%7], d.Free)
			last = d.Number
			sum := 0
			for _, s := range d.Sittings {
				assert.GreaterOrEqual(t, s.Task, at, "in order")
				if s.Begins && tasks[s.Task].Wait > 0 {
					assert.Positive(t, d.Number, "not before a night")
				}
				at = s.Task
				sum += s.Minutes
				done += s.Minutes
			}
			assert.LessOrEqual(t, sum, d.Free)
		}
		assert.Equal(t, all, done, "every minute has its place, or is left over")
		if p.Left == 0 && len(tasks) > 0 {
			assert.Equal(t, last, p.Ends)
		}
	})
}

func TestWhatCoolsIsNotMovedTheSameEvening(t *testing.T) {
	fused := []schedule.Task{{ID: "fuse", Minutes: 20, Rest: 10}, {ID: "sew", Minutes: 30}}
	p := schedule.Of(fused, evenings, nil)
	assert.Equal(t, []schedule.Sitting{{Task: 0, Minutes: 20, Begins: true, Ends: true},
		{Task: 1, Minutes: 30, Begins: true, Ends: true}}, p.Days[0].Sittings,
		"an hour holds both and the wait between")
	fused[0].Minutes = 35
	p = schedule.Of(fused, evenings, nil)
	assert.Equal(t, schedule.Sitting{Task: 1, Minutes: 15, Begins: true}, p.Days[0].Sittings[1],
		"the wait comes off the evening")
	fused[0].Minutes = 55
	p = schedule.Of(fused, evenings, nil)
	assert.Len(t, p.Days[0].Sittings, 1)
	assert.Equal(t, 30, p.Days[1].Sittings[0].Minutes, "over night it is cool")
	last := []schedule.Task{{Minutes: 60, Rest: 600}}
	assert.Equal(t, 0, schedule.Of(last, evenings, nil).Ends, "nothing waits for the last one")
}
