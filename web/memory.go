package web

import (
	"context"
	"crypto/sha256"
	"encoding/json"
	"slices"
	"sync"
	"time"

	"umschlag/core/answer"
	"umschlag/core/finding"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/store"
)

// memory keeps what was worked out: the workshop as it was read last, and plans as they are looked at, by their
// revision and that of the workshop. What is kept says nothing new; it saves working it out again.
type memory struct {
	sync.Mutex
	// changes is how often the store was written to when the workshop was read, print what it was then, and version
	// how often it came out otherwise.
	changes int64
	shop    *reckon.Workshop
	print   [sha256.Size]byte
	version int
	looks   []look // those looked at last at the end
}

// look is a plan as it is looked at.
type look struct {
	id                string
	revision, version int
	heft              int
	view              PlanView
	swatches          map[string]plan.Swatch
	// takes tells whether it still takes fabric.
	takes bool
	// mended are its findings with what is offered for them; nil until somebody asked.
	mended []finding.Finding
}

// mostMinded is how much is kept in mind, in the work of so many patches: some hundred plans as they are usual.
const mostMinded = 200_000

// longestLook is how long somebody waits for one plan to be worked out. No plan takes a quarter of it on a quiet
// machine.
const longestLook = 8 * time.Second

// shopNow is the workshop as it is now, and its version. It is shared: nobody changes it.
func (s *server) shopNow(ctx context.Context) (*reckon.Workshop, int, error) {
	m := &s.memory
	changes := s.store.Changes() // before it is read: what is written meanwhile is read the next time
	m.Lock()
	shop, version, fresh := m.shop, m.version, m.shop != nil && m.changes == changes
	m.Unlock()
	if fresh {
		return shop, version, nil
	}
	shop, err := s.readWorkshop(ctx)
	if err != nil {
		return nil, 0, err
	}
	print, err := printOf(shop)
	if err != nil {
		return nil, 0, err
	}
	m.Lock()
	defer m.Unlock()
	if m.shop == nil || m.print != print {
		m.shop, m.print = shop, print
		m.version++
	}
	m.changes = changes
	return m.shop, m.version, nil
}

// printOf tells one workshop from another.
func printOf(w *reckon.Workshop) ([sha256.Size]byte, error) {
	data, err := json.Marshal([]any{w.Habits, w.Notions, w.Units, w.Cloths, w.Samples, w.Past})
	return sha256.Sum256(data), err
}

// workshop is what there is besides a plan, by its id in the cupboard: the cloths, the samples, and what other plans
// showed. What is reckoned in it stops when the context ends.
func (s *server) workshop(ctx context.Context, id string) (*reckon.Workshop, error) {
	w, _, err := s.workshopAt(ctx, id)
	return w, err
}

// workshopAt is the same with its version.
func (s *server) workshopAt(ctx context.Context, id string) (*reckon.Workshop, int, error) {
	shop, version, err := s.shopNow(ctx)
	if err != nil {
		return nil, 0, err
	}
	w := *shop
	w.ID, w.On = id, func() bool { return ctx.Err() == nil }
	return &w, version, nil
}

// unreadable is a stored plan that cannot be read: one of a later version, or one that was damaged.
type unreadable struct{ error }

func (u *unreadable) Unwrap() error { return u.error }

// recall is a plan as it was looked at, where it is kept in mind.
func (m *memory) recall(p store.Plan, version int) (look, bool) {
	m.Lock()
	defer m.Unlock()
	i := slices.IndexFunc(m.looks, func(l look) bool {
		return l.id == p.ID && l.revision == p.Revision && l.version == version
	})
	if i < 0 {
		return look{}, false
	}
	l := m.looks[i]
	m.looks = append(slices.Delete(m.looks, i, i+1), l)
	return l, true
}

// cutShort tells of a reckoning that was not worked out to its end.
func cutShort(r answer.Reckoning) bool {
	return slices.ContainsFunc(r.Findings, func(f finding.Finding) bool { return f.Code == reckon.TooMuch })
}

// keep keeps a plan in mind as it is looked at, in place of how it was before. What was not worked out to its end
// is not kept.
func (m *memory) keep(l look, r answer.Reckoning) {
	if cutShort(r) {
		return
	}
	m.Lock()
	defer m.Unlock()
	m.looks = append(slices.DeleteFunc(m.looks, func(o look) bool { return o.id == l.id }), l)
	all := 0
	for i := len(m.looks) - 1; i >= 0; i-- {
		if all += m.looks[i].heft; all > mostMinded && i < len(m.looks)-1 {
			m.looks = slices.Clone(m.looks[i+1:])
			return
		}
	}
}

// seen is a look as an answer: its findings are its own.
func (l look) seen(p store.Plan) PlanView {
	v := l.view
	v.CanUndo, v.CanRedo, v.Changed = p.CanUndo, p.CanRedo, p.Changed
	v.Reckoning.Findings = slices.Clone(v.Reckoning.Findings)
	return v
}

// lookAt is a stored plan with its reckoning, remembered.
func (s *server) lookAt(ctx context.Context, p store.Plan) (look, error) {
	ctx, done := context.WithTimeout(ctx, s.longest)
	defer done()
	shop, version, err := s.workshopAt(ctx, p.ID)
	if err != nil {
		return look{}, err
	}
	if l, known := s.memory.recall(p, version); known {
		return l, nil
	}
	view, told, err := reckoned(p, shop)
	if err != nil {
		return look{}, &unreadable{err}
	}
	l := look{id: p.ID, revision: p.Revision, version: version, heft: plan.Heft(told), view: view,
		swatches: swatches(told), takes: len(view.Reckoning.Wants(told, p.Title)) > 0}
	if s.memory.keep(l, view.Reckoning); cutShort(view.Reckoning) {
		unfinished(ctx)
	}
	return l, nil
}
