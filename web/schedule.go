package web

import (
	"context"
	"fmt"
	"net/http"
	"strings"
	"time"

	"umschlag/core/answer"

	"github.com/labstack/echo/v5"

	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/schedule"
	"umschlag/format/ics"
	"umschlag/format/planfile"
)

// ScheduleView is when what is done of a plan.
type ScheduleView struct {
	// From is the first day that is looked at, Minutes there are on each day of the week
	// from Monday on, and Total what is left to be done.
	From    string        `json:"from"`
	Minutes []int         `json:"minutes"`
	Total   int           `json:"total"`
	Days    []ScheduleDay `json:"days"`
	// Ends is the day all is done; empty where there is no time for it within a year. Late
	// is how many days that is after it is due, below 0 before it.
	Ends string `json:"ends"`
	Due  string `json:"due"`
	Late int    `json:"late"`
	// Slips are what follows when a day is lost.
	Slips []ScheduleSlip `json:"slips"`
}

// ScheduleDay is a day with what is done then.
type ScheduleDay struct {
	Day      string            `json:"day"`
	Free     int               `json:"free"`
	Sittings []ScheduleSitting `json:"sittings"`
}

// ScheduleSitting is what is done of a step.
type ScheduleSitting struct {
	Step    string `json:"step"`
	Title   string `json:"title"`
	Minutes int    `json:"minutes"`
	Begins  bool   `json:"begins"`
	Ends    bool   `json:"ends"`
}

// ScheduleSlip is a day with how much later all is done when it is lost; below 0 where
// there is no time for it then.
type ScheduleSlip struct {
	Day   string `json:"day"`
	Later int    `json:"later"`
}

// mostSlips are looked at.
const mostSlips = 5

func (s *server) scheduled(ctx context.Context, id string) (ScheduleView, string, error) {
	stored, err := s.store.Plan(ctx, id)
	if err != nil {
		return ScheduleView{}, "", err
	}
	p, err := planfile.Read([]byte(stored.Doc))
	if err != nil {
		return ScheduleView{}, "", err
	}
	w, err := s.workshop(ctx, id)
	if err != nil {
		return ScheduleView{}, "", err
	}
	return scheduleView(p, reckon.Reckon(p, w), s.now()), stored.Title, nil
}

func scheduleView(p plan.Plan, r answer.Reckoning, now time.Time) ScheduleView {
	own := plan.Schedule{}
	if p.Schedule != nil {
		own = *p.Schedule
	}
	from := now
	if day, err := time.Parse(time.DateOnly, own.From); err == nil && day.After(now) {
		from = day
	}
	from = time.Date(from.Year(), from.Month(), from.Day(), 0, 0, 0, 0, time.UTC)
	week := schedule.Evenings
	if len(own.Minutes) == len(week) {
		copy(week[:], own.Minutes)
	}
	// Monday is the first day of the week in a plan, day 0 that of the schedule.
	var free [7]int
	for i := range free {
		free[i] = week[(int(from.Weekday())+6+i)%7]
	}
	lost := map[int]bool{}
	for _, text := range own.Lost {
		if day, err := time.Parse(time.DateOnly, text); err == nil {
			lost[int(day.Sub(from).Hours()/24)] = true
		}
	}
	day := func(n int) string { return from.AddDate(0, 0, n).Format(time.DateOnly) }
	tasks := r.Tasks(p)
	planned := schedule.Of(tasks, free, lost)
	v := ScheduleView{From: day(0), Minutes: week[:], Days: []ScheduleDay{}, Due: own.Due, Slips: []ScheduleSlip{}}
	for _, t := range tasks {
		v.Total += t.Minutes
	}
	for _, d := range planned.Days {
		one := ScheduleDay{Day: day(d.Number), Free: d.Free}
		for _, sit := range d.Sittings {
			t := tasks[sit.Task]
			one.Sittings = append(one.Sittings,
				ScheduleSitting{Step: t.ID, Title: t.Title, Minutes: sit.Minutes, Begins: sit.Begins, Ends: sit.Ends})
		}
		v.Days = append(v.Days, one)
	}
	if planned.Ends >= 0 {
		v.Ends = day(planned.Ends)
		if due, err := time.Parse(time.DateOnly, own.Due); err == nil {
			v.Late = planned.Ends - int(due.Sub(from).Hours()/24)
		}
	}
	for _, slip := range schedule.Slips(tasks, free, lost, mostSlips) {
		v.Slips = append(v.Slips, ScheduleSlip{Day: day(slip.Day), Later: slip.Later})
	}
	return v
}

func (s *server) schedule(c *echo.Context) error {
	v, _, err := s.scheduled(c.Request().Context(), c.Param("id"))
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, v)
}

// scheduleFile answers with the schedule as a calendar.
func (s *server) scheduleFile(c *echo.Context) error {
	id := c.Param("id")
	v, title, err := s.scheduled(c.Request().Context(), id)
	if err != nil {
		return err
	}
	calendar := ics.Calendar{Name: title, Stamp: s.now()}
	for _, d := range v.Days {
		day, err := time.Parse(time.DateOnly, d.Day)
		if err != nil {
			return err
		}
		var what []string
		total := 0
		for _, sit := range d.Sittings {
			total += sit.Minutes
			what = append(what, fmt.Sprintf("%s, %d min", sit.Title, sit.Minutes))
		}
		calendar.Events = append(calendar.Events,
			ics.Event{UID: id + "-" + d.Day + "@umschlag", Day: day, Summary: fmt.Sprintf("%s: %d min", title, total),
				Description: strings.Join(what, "\n")})
	}
	if due, err := time.Parse(time.DateOnly, v.Due); err == nil {
		calendar.Events = append(calendar.Events,
			ics.Event{UID: id + "-due@umschlag", Day: due, Summary: title + " must be ready"})
	}
	c.Response().Header().Set("Content-Disposition", fmt.Sprintf("attachment; filename=%q", id+".ics"))
	return c.Blob(http.StatusOK, "text/calendar; charset=utf-8", calendar.Write())
}
