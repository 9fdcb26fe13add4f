// Package schedule knows when what is done: it shares the steps that are left out among
// the evenings there are, keeps to waits that no hurry shortens, and says what slips when
// an evening is lost. Days are numbered; what day it is only the caller knows.
package schedule

import "slices"

// Task is one step that is still to be done.
type Task struct {
	ID, Title string
	// Minutes it takes for all covers, at least 1.
	Minutes int
	// Wait is how many nights have to pass before it can be begun: cloth that dries after
	// washing, for instance.
	Wait int
	// Rest is how many minutes it cools or dries when it is done: the same evening nothing
	// is begun before they are over.
	Rest int
}

// Sitting is what is done of a task on a day.
type Sitting struct {
	Task    int
	Minutes int
	// Begins and Ends tell whether it is begun and finished then.
	Begins, Ends bool
}

// Day is one day with something to do.
type Day struct {
	// Number from 0, the first day.
	Number   int
	Free     int
	Sittings []Sitting
}

// Plan is when everything is done.
type Plan struct {
	Days []Day
	// Ends is the day on which the last task is finished, -1 where there is none, and Left
	// what finds no place within the days that are looked at.
	Ends int
	Left int
}

// MostDays are looked at: a year.
const MostDays = 366

// shortest is the least time it is worth sitting down for. Common practice.
const shortest = 10

// Evenings are the minutes there are from Monday to Sunday where nobody said: an hour on
// two evenings and two on a third. Common practice.
var Evenings = [7]int{0, 60, 0, 60, 0, 120, 0}

// Of shares tasks, in their order, out among days; free is how many minutes there are on
// each day of the week, beginning with that of day 0, and lost the days on which there
// are none after all. A task is split over days where it must be, never for less than ten
// minutes unless it ends with them.
func Of(tasks []Task, free [7]int, lost map[int]bool) Plan {
	p := Plan{Ends: -1}
	day, room := -1, 0
	var today *Day
	next := func() bool {
		for day+1 < MostDays {
			day++
			room = free[day%7]
			if lost[day] || room <= 0 {
				continue
			}
			p.Days = append(p.Days, Day{Number: day, Free: room})
			today = &p.Days[len(p.Days)-1]
			return true
		}
		room = 0
		return false
	}
	earliest := 0
	for i, t := range tasks {
		if i > 0 && p.Ends == day && day >= 0 {
			room = max(0, room-tasks[i-1].Rest)
		}
		if t.Wait > 0 {
			earliest = max(day, 0) + t.Wait
		}
		left, begins := max(1, t.Minutes), true
		for left > 0 {
			for room < min(left, shortest) || day < earliest {
				if !next() {
					p.Left += left
					break
				}
			}
			if room == 0 {
				break
			}
			take := min(left, room)
			today.Sittings = append(today.Sittings, Sitting{Task: i, Minutes: take, Begins: begins, Ends: take == left})
			left, room, begins = left-take, room-take, false
			p.Ends = day
		}
		if left > 0 {
			p.Left += minutes(tasks[i+1:])
			p.Ends = -1
			break
		}
	}
	return p.trimmed()
}

func minutes(tasks []Task) (all int) {
	for _, t := range tasks {
		all += max(1, t.Minutes)
	}
	return all
}

// trimmed leaves out days on which nothing is done.
func (p Plan) trimmed() Plan {
	p.Days = slices.DeleteFunc(p.Days, func(d Day) bool { return len(d.Sittings) == 0 })
	return p
}

// Slip is what happens when one day is lost.
type Slip struct {
	// Day that is lost, and how many days later all is done; -1 where it is not done then.
	Day, Later int
}

// Slips says of each of the first days with work what slips when it is lost.
func Slips(tasks []Task, free [7]int, lost map[int]bool, most int) []Slip {
	p := Of(tasks, free, lost)
	var out []Slip
	for _, d := range p.Days[:min(most, len(p.Days))] {
		without := map[int]bool{d.Number: true}
		for n := range lost {
			without[n] = lost[n]
		}
		slip := Slip{Day: d.Number, Later: -1}
		if q := Of(tasks, free, without); q.Ends >= 0 {
			slip.Later = q.Ends - p.Ends
		}
		out = append(out, slip)
	}
	return out
}
