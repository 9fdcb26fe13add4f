package web

import (
	"context"
	"encoding/hex"
	"encoding/json"
	"fmt"
	"net/http"
	"os"
	"sync"
	"time"

	"github.com/labstack/echo/v5"

	"umschlag/core/answer"
	"umschlag/core/finding"
	"umschlag/core/plan"
	"umschlag/store"
)

// shelfPatience is how long the shelf waits for plans to be worked out; what is not by then comes later.
const shelfPatience = time.Second

// thisProgram tells one build of the app from another: what another worked out is worked out again.
var thisProgram = sync.OnceValue(func() string {
	self, err := os.Executable()
	if err != nil {
		return ""
	}
	is, err := os.Stat(self)
	if err != nil {
		return ""
	}
	return fmt.Sprintf("%x.%x", is.Size(), is.ModTime().UnixNano())
})

// summary is what is kept of a plan that was worked out: what the shelf shows of it, and whether it still takes fabric,
// by which the cupboard and what to buy pass over what is cut.
type summary struct {
	ShelfItem
	Takes bool `json:"takes"`
}

// shelving is one look at the shelf: what is known of its plans, and what is worked out meanwhile.
type shelving struct {
	*server
	version int
	in      string
	kept    map[string]store.Summary
	fresh   []store.Summary
}

func (s *server) shelving(ctx context.Context) (*shelving, error) {
	if _, _, err := s.shopNow(ctx); err != nil {
		return nil, err
	}
	kept, err := s.store.Summaries(ctx)
	if err != nil {
		return nil, err
	}
	s.memory.Lock()
	defer s.memory.Unlock()
	in := hex.EncodeToString(s.memory.print[:]) + " " + thisProgram()
	return &shelving{server: s, version: s.memory.version, in: in, kept: kept}, nil
}

// shelf lists the plans with what is drawn of them and where they stand. It waits for what is not known yet no longer
// than somebody notices; the rest is worked out behind it, and shown as it was, or as coming.
func (s *server) shelf(c *echo.Context) error {
	ctx := c.Request().Context()
	plans, err := s.store.Plans(ctx)
	if err != nil {
		return err
	}
	entries, err := s.store.Log(ctx)
	if err != nil {
		return err
	}
	logged := map[string]bool{}
	for _, e := range entries {
		logged[e.Plan] = true
	}
	look, err := s.shelving(ctx)
	if err != nil {
		return err
	}
	out, late, till := make([]ShelfItem, 0, len(plans)), false, time.Now().Add(s.patience)
	for _, p := range plans {
		seen, known := look.known(p)
		if !known {
			if time.Now().Before(till) {
				seen = look.workedOut(ctx, p)
			} else {
				seen, late = look.asItWas(p), true
			}
		}
		if ctx.Err() != nil {
			return ctx.Err()
		}
		item := seen.ShelfItem
		item.ID, item.Title, item.Changed, item.Finished = p.ID, p.Title, p.Changed, logged[p.ID]
		out = append(out, item)
	}
	look.keep(ctx)
	if late {
		c.Response().Header().Set("Retry-After", "1")
		go s.catchUp()
	}
	return c.JSON(http.StatusOK, out)
}

// known is a plan as it is remembered, or kept.
func (l *shelving) known(p store.Plan) (summary, bool) {
	kept, there := l.kept[p.ID]
	current := there && kept.Revision == p.Revision && kept.In == l.in
	if seen, known := l.memory.recall(p, l.version); known {
		sum := summaryOf(seen)
		if !current {
			l.note(p, sum)
		}
		return sum, true
	}
	if !current {
		return summary{}, false
	}
	var sum summary
	return sum, json.Unmarshal([]byte(kept.Doc), &sum) == nil
}

// workedOut is a plan as it is now. One that cannot be read keeps nobody from the others.
func (l *shelving) workedOut(ctx context.Context, p store.Plan) summary {
	seen, err := l.lookAt(ctx, p)
	if err != nil {
		if ctx.Err() == nil {
			l.log.Error("shelf", "plan", p.ID, "err", err)
		}
		return summary{ShelfItem: ShelfItem{Pieces: []answer.Piece{}, Swatches: map[string]plan.Swatch{},
			Findings: []finding.Finding{{Level: finding.Stop, Code: "unreadable", About: "/",
				Text: "This plan cannot be read.", Remedy: "Save its file, mend it, and open it again."}}}}
	}
	sum := summaryOf(seen)
	if !cutShort(seen.view.Reckoning) {
		l.note(p, sum)
	}
	return sum
}

// asItWas is a plan as it was worked out last, before it or the workshop changed.
func (l *shelving) asItWas(p store.Plan) summary {
	sum := summary{ShelfItem: ShelfItem{Pieces: []answer.Piece{}, Swatches: map[string]plan.Swatch{},
		Findings: []finding.Finding{}}}
	if err := json.Unmarshal([]byte(l.kept[p.ID].Doc), &sum); err != nil {
		sum.Pieces = []answer.Piece{} // it was never looked at
	}
	sum.Coming = true
	return sum
}

func (l *shelving) note(p store.Plan, sum summary) {
	doc, err := json.Marshal(sum)
	if err != nil {
		return // it is worked out again the next time
	}
	l.fresh = append(l.fresh, store.Summary{Plan: p.ID, Revision: p.Revision, In: l.in, Doc: string(doc)})
}

// keep keeps what was worked out. Where it cannot be kept it is worked out again the next time, and what cannot be kept
// besides says so where somebody saves.
func (l *shelving) keep(ctx context.Context) {
	if len(l.fresh) == 0 {
		return
	}
	if err := l.store.KeepSummaries(ctx, l.fresh); err != nil && ctx.Err() == nil {
		l.log.Warn("shelf", "err", err)
	}
}

// catchUp works out what the shelf did not wait for, one plan after the other; one is at it at a time.
func (s *server) catchUp() {
	if !s.catching.TryLock() {
		s.idle.Reset(s.quiet) // what changed since whoever is at it began is looked for after
		return
	}
	defer s.catching.Unlock()
	ctx, done := context.WithTimeout(context.Background(), longestCatchUp)
	defer done()
	plans, err := s.store.Plans(ctx)
	if err != nil {
		return // the app ends
	}
	look, err := s.shelving(ctx)
	if err != nil {
		return
	}
	for _, p := range plans {
		if _, known := look.known(p); !known {
			look.workedOut(ctx, p)
		}
	}
	look.keep(ctx)
}

// usuallyQuiet is longer than somebody stops between two changes.
const usuallyQuiet = 3 * time.Second

// behind lets what a change made stale be worked out behind it: whoever looks next finds it there.
func (s *server) behind(next echo.HandlerFunc) echo.HandlerFunc {
	return func(c *echo.Context) error {
		defer s.idle.Reset(s.quiet)
		return next(c)
	}
}

// longestCatchUp is for a shelf of thousands of plans.
const longestCatchUp = 5 * time.Minute

func summaryOf(l look) summary {
	return summary{ShelfItem: shelfItem(l), Takes: l.takes}
}

func shelfItem(l look) ShelfItem {
	r := l.view.Reckoning
	item := ShelfItem{Steps: len(r.Steps), Pieces: plainly(r.Pieces), Findings: r.Findings, Swatches: l.swatches}
	if len(r.Pieces) > 0 {
		f := r.Pieces[0].Finished
		item.Size = f.Width.Text + " × " + f.Height.Text
	}
	for _, step := range r.Steps {
		if step.Done {
			item.Done++
		} else if item.Next == "" {
			item.Next, item.Stage = step.Title, step.Stage
		}
	}
	return item
}

// plainly is pieces as they are drawn small: without what only their own page shows.
func plainly(pieces []answer.Piece) []answer.Piece {
	out := make([]answer.Piece, len(pieces))
	for i, p := range pieces {
		p.Press, p.Conflicts, p.Ways, p.Methods = []answer.PressSeam{}, []answer.Point{}, []answer.Way{},
			[]answer.UnitMethods{}
		p.Threads, p.Outlook = []answer.Thread{}, []answer.Outlook{}
		out[i] = p
	}
	return out
}
