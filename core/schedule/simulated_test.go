package schedule_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/schedule"
)

// minuteByMinute does the tasks as a person does who sits down every evening: never beginning on what is left of an
// evening when that is less than ten minutes and less than the task, not before its nights are over, and after what
// cools.
func minuteByMinute(tasks []schedule.Task, free [7]int, lost map[int]bool) (days []schedule.Day, ends int) {
	type at struct{ day, used int }
	now, ends := at{day: 0}, -1
	room := func() int {
		if lost[now.day] {
			return 0
		}
		return free[now.day%7] - now.used
	}
	latest := 0 // the last evening anybody sat down
	for i, task := range tasks {
		earliest := 0
		if task.Wait > 0 {
			earliest = latest + task.Wait
		}
		for left, begins := task.Minutes, true; left > 0; {
			for now.day < earliest || room() < 10 && room() < left {
				now = at{day: now.day + 1}
			}
			take := min(left, room())
			if len(days) == 0 || days[len(days)-1].Number != now.day {
				days = append(days, schedule.Day{Number: now.day, Free: free[now.day%7]})
			}
			day := &days[len(days)-1]
			day.Sittings = append(day.Sittings,
				schedule.Sitting{Task: i, Minutes: take, Begins: begins,
					Ends: take == left})
			left, begins, latest = left-take, false, now.day
			now.used += take
		}
		ends = now.day
		now.used = min(free[now.day%7], now.used+task.Rest)
	}
	return days, ends
}

func TestAScheduleIsThatOfAPersonWhoSitsDown(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		tasks := make([]schedule.Task, rapid.IntRange(1, 12).Draw(t, "tasks"))
		for i := range tasks {
			tasks[i] = schedule.Task{Minutes: rapid.IntRange(1, 150).Draw(t, "minutes"),
				Wait: rapid.SampledFrom([]int{0, 0, 0, 1, 3}).Draw(t, "wait"),
				Rest: rapid.SampledFrom([]int{0, 0, 15, 90}).Draw(t, "rest")}
		}
		tasks[0].Wait = 0
		var free [7]int
		for i := range free {
			free[i] = rapid.SampledFrom([]int{0, 25, 60, 120}).Draw(t, "free")
		}
		free[rapid.IntRange(0, 6).Draw(t, "surely")] = 60
		lost := map[int]bool{}
		for range rapid.IntRange(0, 3).Draw(t, "how many lost") {
			lost[rapid.IntRange(0, 10).Draw(t, "lost")] = true
		}
		days, ends := minuteByMinute(tasks, free, lost)
		p := schedule.Of(tasks, free, lost)
		assert.Equal(t, days, p.Days)
		assert.Equal(t, ends, p.Ends)
		assert.Zero(t, p.Left)
		for i, slip := range schedule.Slips(tasks, free, lost, 3) {
			assert.Equal(t, days[i].Number, slip.Day)
			without := map[int]bool{slip.Day: true}
			for n := range lost {
				without[n] = true
			}
			_, later := minuteByMinute(tasks, free, without)
			assert.Equal(t, later-ends, slip.Later)
		}
		assert.Len(t, schedule.Slips(tasks, free, lost, 3), min(3, len(days)))
	})
}

// What finds no place within a year is left over, with all that would come after it.
func TestWhatFindsNoPlaceInAYear(t *testing.T) {
	free := [7]int{60}
	weeks := 53 // Mondays in 366 days that begin with one
	tasks := []schedule.Task{{Minutes: 60 * weeks}, {Minutes: 1}, {Minutes: 7}, {Minutes: 0}}
	p := schedule.Of(tasks, free, nil)
	assert.Equal(t, []int{-1, 1 + 7 + 1}, []int{p.Ends, p.Left})
	assert.Len(t, p.Days, weeks)
	assert.Equal(t, -1, schedule.Slips(tasks, free, nil, 1)[0].Later)
	p = schedule.Of([]schedule.Task{{Minutes: 60*weeks + 9}}, free, nil)
	assert.Equal(t, 9, p.Left)
	p = schedule.Of([]schedule.Task{{Minutes: 60 * weeks}}, free, nil)
	assert.Equal(t, []int{364, 0}, []int{p.Ends, p.Left})
}

// Nobody said: an hour on Tuesdays and Thursdays, two on Saturdays.
func TestUsualEvenings(t *testing.T) {
	week := 0
	for day, minutes := range schedule.Evenings {
		assert.Equal(t, map[int]int{1: 60, 3: 60, 5: 120}[day], minutes)
		week += minutes
	}
	assert.Equal(t, 240, week)
}
