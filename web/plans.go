package web

import (
	"bytes"
	"context"
	"errors"
	"fmt"
	"io"
	"net/http"
	"slices"

	"umschlag/core/answer"
	"umschlag/core/brief"
	"umschlag/core/finding"

	"github.com/labstack/echo/v5"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/spoil"
	"umschlag/format/planfile"
	"umschlag/store"
)

// reckon answers a plan file with its reckoning; ?for= names the plan whose cloth is kept
// in the cupboard, ?typed= a value from which something follows; with ?sheet= it leaves out
// what is not shown beside the sheet, and of the sums all but those that each ?sum= names.
func (s *server) reckon(c *echo.Context) error {
	data, err := io.ReadAll(c.Request().Body)
	if err != nil {
		return err
	}
	shop, err := s.workshop(c.Request().Context(), c.QueryParam("for"))
	if err != nil {
		return err
	}
	reckoned := planfile.Followed
	if asked := c.QueryParams(); asked.Get("sheet") != "" {
		reckoned = func(data []byte, path string, w *reckon.Workshop) (answer.Reckoning, error) {
			return planfile.OnSheet(data, path, w, asked["sum"])
		}
	}
	r, err := reckoned(data, c.QueryParam("typed"), shop)
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, r)
}

// choose answers what takes a decision of the brief of a plan.
func (s *server) choose(c *echo.Context) error {
	var in ChooseIn
	if err := decode(c, &in); err != nil {
		return err
	}
	shop, err := s.workshop(c.Request().Context(), in.For)
	if err != nil {
		return err
	}
	patch, err := planfile.Chosen(in.Plan, in.ID, in.Key, shop)
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, Chosen{Patch: patch})
}

// convert shows a plan in another unit.
func (s *server) convert(c *echo.Context) error {
	var in ConvertPlan
	if err := decode(c, &in); err != nil {
		return err
	}
	if !slices.Contains(length.Units(), length.Unit(in.Units)) {
		return planfile.Problems{{Path: "/units", Text: "Type one of in, cm, mm."}}
	}
	doc, err := planfile.Converted(in.Plan, length.Unit(in.Units))
	if err != nil {
		return err
	}
	return c.JSONBlob(http.StatusOK, doc)
}

// view is a stored plan with its reckoning.
func (s *server) view(ctx context.Context, p store.Plan) (PlanView, error) {
	l, err := s.lookAt(ctx, p)
	return l.seen(p), err
}

// reckoned is a stored plan with its reckoning in a workshop, and the plan as it is read.
func reckoned(p store.Plan, shop *reckon.Workshop) (view PlanView, told plan.Plan, err error) {
	r, err := planfile.Reckon([]byte(p.Doc), shop)
	if err != nil {
		return view, told, fmt.Errorf("reckon stored plan %s: %w", p.ID, err)
	}
	doc, err := planfile.Upgraded([]byte(p.Doc))
	if err != nil {
		return view, told, fmt.Errorf("read stored plan %s: %w", p.ID, err)
	}
	if told, err = planfile.Read([]byte(p.Doc)); err != nil {
		return view, told, fmt.Errorf("read stored plan %s: %w", p.ID, err)
	}
	return PlanView{ID: p.ID, Revision: p.Revision, Plan: doc, Reckoning: r,
		Brief: planfile.Shown(brief.Of(told, shop), doc, told.Style())}, told, nil
}

// looked is the stored plan that a request names, and how it is shown.
func (s *server) looked(c *echo.Context) (store.Plan, PlanView, error) {
	stored, err := s.store.Plan(c.Request().Context(), c.Param("id"))
	if err != nil {
		return stored, PlanView{}, err
	}
	view, err := s.view(c.Request().Context(), stored)
	return stored, view, err
}

// lookedInto is the same with the plan itself.
func (s *server) lookedInto(c *echo.Context) (stored store.Plan, view PlanView, p plan.Plan, err error) {
	if stored, view, err = s.looked(c); err != nil {
		return stored, view, p, err
	}
	p, err = planfile.Read([]byte(stored.Doc))
	return stored, view, p, err
}

// planIn is the plan that a request carries as its body.
func planIn(c *echo.Context) (plan.Plan, error) {
	data, err := io.ReadAll(c.Request().Body)
	if err != nil {
		return plan.Plan{}, err
	}
	return planfile.Read(data)
}

// answer sends a plan, or what kept it from being changed.
func (s *server) answer(c *echo.Context, status int, p store.Plan, err error, apart *Sides) error {
	ctx := c.Request().Context()
	var conflict *store.ConflictError
	if errors.As(err, &conflict) {
		current, viewErr := s.view(ctx, conflict.Current)
		if viewErr != nil {
			return viewErr
		}
		return &refused{conflict: conflict, current: current, apart: apart}
	}
	if err != nil {
		return err
	}
	l, err := s.lookAt(ctx, p)
	if err != nil {
		return err
	}
	v := l.seen(p)
	if v.Reckoning.Findings, err = s.mended(ctx, p, l); err != nil {
		return err
	}
	if len(v.Reckoning.Pieces) == 0 {
		if v.Last, err = s.lastCut(ctx, p); err != nil {
			return err
		}
	}
	return c.JSON(status, v)
}

// mended are the findings of a plan with what is offered for them, remembered.
func (s *server) mended(ctx context.Context, p store.Plan, l look) ([]finding.Finding, error) {
	r := l.seen(p).Reckoning
	if len(r.Findings) == 0 {
		return r.Findings, nil
	}
	if l.mended != nil {
		return slices.Clone(l.mended), nil
	}
	ctx, done := context.WithTimeout(ctx, s.longest)
	defer done()
	shop, err := s.workshop(ctx, p.ID)
	if err != nil {
		return nil, err
	}
	if r, err = planfile.Mended([]byte(p.Doc), r, shop); err != nil {
		return nil, fmt.Errorf("mend stored plan %s: %w", p.ID, err)
	}
	if l.mended = r.Findings; ctx.Err() == nil {
		s.memory.keep(l, r)
	} else {
		unfinished(ctx)
	}
	return r.Findings, nil
}

// lastCut is a plan as it was when it could be cut the last time, nil where it never could.
func (s *server) lastCut(ctx context.Context, head store.Plan) (*LastCut, error) {
	shop, err := s.workshop(ctx, head.ID)
	if err != nil {
		return nil, err
	}
	var out LastCut
	good := func(p plan.Plan) bool {
		out.Reckoning = reckon.Reckon(p, shop)
		return len(out.Reckoning.Pieces) > 0
	}
	p, number, err := s.lastGood(ctx, head, good)
	if err != nil || p == nil {
		return nil, err
	}
	out.Revision, out.Reckoning.Settled = number, planfile.Full(shop.Settle(*p))
	return &out, nil
}

// cuttable is the stored plan that a request names where it can be cut: nothing of it is given
// out as a file otherwise.
func (s *server) cuttable(c *echo.Context) (stored store.Plan, view PlanView, p plan.Plan, err error) {
	if stored, view, p, err = s.lookedInto(c); err == nil && len(view.Reckoning.Pieces) == 0 {
		err = &stopped{view.Reckoning.Findings}
	}
	return stored, view, p, err
}

func (s *server) plan(c *echo.Context) error {
	p, err := s.store.Plan(c.Request().Context(), c.Param("id"))
	return s.answer(c, http.StatusOK, p, err, nil)
}

// planFile is a stored plan as its file, also one that cannot be read.
func (s *server) planFile(c *echo.Context) error {
	p, err := s.store.Plan(c.Request().Context(), c.Param("id"))
	if err != nil {
		return err
	}
	c.Response().Header().Set("Content-Disposition", `attachment; filename="plan.json"`)
	return c.Blob(http.StatusOK, echo.MIMEApplicationJSON, []byte(p.Doc))
}

func (s *server) createPlan(c *echo.Context) error {
	var in NewPlan
	if err := decode(c, &in); err != nil {
		return err
	}
	doc, p, err := keyed(in.Plan)
	if err != nil {
		return err
	}
	if doc, err = begun(doc, p); err != nil {
		return err
	}
	made, err := s.store.Create(c.Request().Context(), p.Title, string(p.Cover.Kind), string(doc))
	return s.answer(c, http.StatusCreated, made, err, nil)
}

// begun is the document of a plan that is begun from that of another one: what that has of the cupboard, and put there,
// it has not.
func begun(doc []byte, p plan.Plan) ([]byte, error) {
	fresh := plan.Begun(p)
	if len(p.Progress.Over) > 0 {
		var err error
		if doc, err = planfile.WithRecord(doc, fresh.Progress, fresh.Measured); err != nil {
			return nil, err
		}
	}
	if !slices.ContainsFunc(p.Made, func(m plan.Made) bool { return m.Cupboard > 0 }) {
		return doc, nil
	}
	return planfile.WithMade(doc, fresh.Made)
}

func (s *server) savePlan(c *echo.Context) error {
	var in SavePlan
	if err := decode(c, &in); err != nil {
		return err
	}
	doc, p, err := keyed(in.Plan)
	if err != nil {
		return err
	}
	ctx, id := c.Request().Context(), c.Param("id")
	if err := sideOf(in.Prefer); err != nil {
		return err
	}
	head, base, again, err := s.stands(ctx, id, in.Standing)
	if err != nil {
		return err
	}
	if again {
		return s.answer(c, http.StatusOK, head, nil, nil)
	}
	var apart *Sides
	if head.Revision > base {
		var joined bool
		if doc, p, joined, err = s.joined(ctx, head, base, doc, p, in.Prefer); err != nil {
			return err
		}
		if joined {
			base = head.Revision
		} else if apart, err = s.sides(ctx, head, base, doc); err != nil {
			return err
		}
	}
	if head.Revision == base { // a stale one is refused anyway
		if doc, err = s.kept(ctx, id, head, doc, p, in.Spoils); err != nil {
			return err
		}
	}
	saved, err := s.store.Save(ctx, id, store.Version{Change: store.Change{Base: base, ID: in.Save}, Title: p.Title,
		Kind: string(p.Cover.Kind), Doc: string(doc), Label: in.Label})
	return s.answer(c, http.StatusOK, saved, err, apart)
}

// stands is the newest revision of a plan, and the one that a change stands on: that of its window, with what of its
// own was kept whose answers were lost. again tells that the change itself is the last of those.
func (s *server) stands(ctx context.Context, id string, on Standing) (head store.Plan, base int, again bool,
	err error) {
	if err := on.known(); err != nil {
		return head, 0, false, err
	}
	base, last, err := s.store.Reached(ctx, id, on.Base, append([]string{on.Save}, on.Sent...))
	if err != nil {
		return head, 0, false, err
	}
	head, err = s.store.Plan(ctx, id)
	return head, base, head.Revision == base && last != "" && last == on.Save, err
}

// joined is a document that was changed from an older revision, with what was changed since; false where both changed
// the same.
func (s *server) joined(ctx context.Context, head store.Plan, base int, doc []byte, p plan.Plan, prefer planfile.Side) (
	[]byte, plan.Plan, bool, error) {
	older, err := s.store.Revision(ctx, head.ID, base)
	if err != nil && !errors.Is(err, store.ErrNotFound) {
		return nil, p, false, err
	}
	both, _, err := planfile.Joined([]byte(older), doc, []byte(head.Doc), prefer)
	if err != nil || both == nil {
		switch prefer { // where they cannot be joined, the one that is followed is taken whole
		case planfile.Mine:
			return doc, p, true, nil
		case planfile.Theirs:
			both = []byte(head.Doc)
		default:
			return doc, p, false, nil // the conflict tells it
		}
	}
	doc, p, err = keyed(both)
	return doc, p, true, err
}

// sides are a document and what was changed since joined either way; nil where they cannot be.
func (s *server) sides(ctx context.Context, head store.Plan, base int, doc []byte) (*Sides, error) {
	older, err := s.store.Revision(ctx, head.ID, base)
	if err != nil && !errors.Is(err, store.ErrNotFound) {
		return nil, err
	}
	if older == "" {
		return nil, nil // what was sent is of no revision that is there
	}
	mine, _, err := planfile.Joined([]byte(older), doc, []byte(head.Doc), planfile.Mine)
	if err != nil || mine == nil {
		return nil, err
	}
	theirs, _, err := planfile.Joined([]byte(older), doc, []byte(head.Doc), planfile.Theirs)
	if err != nil || theirs == nil {
		return nil, err
	}
	return &Sides{Mine: mine, Theirs: theirs}, nil
}

// join answers with what two sides made of a plan, each from the same one.
func (s *server) join(c *echo.Context) error {
	var in JoinPlans
	if err := decode(c, &in); err != nil {
		return err
	}
	if err := sideOf(in.Prefer); err != nil {
		return err
	}
	doc, apart, err := planfile.Joined(in.Base, in.Mine, in.Theirs, in.Prefer)
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, JoinedPlans{Plan: doc, Apart: append([]string{}, apart...)})
}

// sideOf tells whether a side is one.
func sideOf(side planfile.Side) error {
	if !slices.Contains([]planfile.Side{planfile.NoSide, planfile.Mine, planfile.Theirs}, side) {
		return echo.NewHTTPError(http.StatusBadRequest, "What both changed is preferred as mine or as theirs.")
	}
	return nil
}

// mostSent changes are waited for at once, and none has an id longer than longestSave.
const (
	mostSent    = 200
	longestSave = 64
)

// known tells whether the ids of changes are such as this app gives.
func (on Standing) known() error {
	tooLong := func(id string) bool { return len(id) > longestSave }
	if len(on.Sent) > mostSent || tooLong(on.Save) || slices.ContainsFunc(on.Sent, tooLong) {
		return echo.NewHTTPError(http.StatusBadRequest, fmt.Sprintf(
			"A save names up to %d others, each by up to %d characters.", mostSent, longestSave))
	}
	return nil
}

// restored is an older document with what is recorded of the newest one.
func (s *server) restored(ctx context.Context, head store.Plan, doc []byte, how spoil.Choice) ([]byte, error) {
	upgraded, err := planfile.Upgraded(doc)
	if err != nil || !bytes.Equal(upgraded, doc) {
		return upgraded, err
	}
	newest, err := planfile.Read([]byte(head.Doc))
	if err != nil {
		return nil, fmt.Errorf("read stored plan %s: %w", head.ID, err)
	}
	if doc, err = planfile.WithRecord(doc, newest.Progress, newest.Measured); err != nil {
		return nil, err
	}
	now, err := planfile.Read(doc)
	if err != nil {
		return nil, err
	}
	return s.kept(ctx, head.ID, head, doc, now, how)
}

// back answers what goes through the history of a plan; what was done already, and its answer lost, as the first time.
func (s *server) back(take func(context.Context, Back, store.Plan, store.Change) (store.Plan, error)) echo.HandlerFunc {
	return func(c *echo.Context) error {
		var in Back
		if err := decode(c, &in); err != nil {
			return err
		}
		ctx := c.Request().Context()
		head, base, again, err := s.stands(ctx, c.Param("id"), in.Standing)
		if err != nil {
			return err
		}
		if !again {
			head, err = take(ctx, in, head, store.Change{Base: base, ID: in.Save})
		}
		return s.answer(c, http.StatusOK, head, err, nil)
	}
}

func (s *server) step(d store.Direction) echo.HandlerFunc {
	return s.back(func(ctx context.Context, _ Back, head store.Plan, by store.Change) (store.Plan, error) {
		return s.store.Step(ctx, head.ID, by, d)
	})
}

// restore brings back the decisions of an older revision; what is done since stays done, where it
// fits them. Of a document of the format before, whose parts had no keys, its own record comes
// back with it.
func (s *server) restore(ctx context.Context, in Back, head store.Plan, by store.Change) (store.Plan, error) {
	stored, err := s.store.Revision(ctx, head.ID, in.Revision)
	if err != nil {
		return head, err
	}
	doc, err := s.restored(ctx, head, []byte(stored), in.Spoils)
	if err != nil {
		return head, err
	}
	return s.store.Restore(ctx, head.ID, by, in.Revision, string(doc))
}

func (s *server) history(c *echo.Context) error {
	entries, err := s.store.History(c.Request().Context(), c.Param("id"))
	if err != nil {
		return err
	}
	out := make([]HistoryEntry, len(entries))
	for i, e := range entries {
		out[i] = HistoryEntry(e)
	}
	return c.JSON(http.StatusOK, out)
}

func (s *server) putAway(away bool) echo.HandlerFunc {
	return func(c *echo.Context) error {
		if err := s.store.PutAway(c.Request().Context(), c.Param("id"), away); err != nil {
			return err
		}
		return c.NoContent(http.StatusNoContent)
	}
}

// swatchesIn says how the cloths of a stored plan are drawn.
func swatchesIn(doc []byte) map[string]plan.Swatch {
	p, err := planfile.Read(doc)
	if err != nil {
		return map[string]plan.Swatch{}
	}
	return swatches(p)
}

// swatches says how the cloths of a plan are drawn.
func swatches(p plan.Plan) map[string]plan.Swatch {
	out := map[string]plan.Swatch{}
	for letter, cloth := range p.Cloths {
		out[letter] = cloth.Swatch
	}
	return out
}
