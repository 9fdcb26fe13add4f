package web

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"math"
	"net/http"
	"slices"
	"strconv"
	"strings"

	"umschlag/core/answer"
	"umschlag/core/compare"
	"umschlag/core/supply"

	"github.com/labstack/echo/v5"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
	"umschlag/core/shopping"
	"umschlag/format/planfile"
	"umschlag/store"
)

// shop is the habits and the unit everything outside plans is kept in.
type shop struct {
	unit     length.Unit
	habits   plan.Habits
	revision int
}

// habitsDoc is how habits are stored.
type habitsDoc struct {
	Units  length.Unit     `json:"units,omitempty"`
	Habits json.RawMessage `json:"habits,omitempty"`
}

func (s *server) shop(ctx context.Context) (shop, error) {
	doc, revision, err := s.store.Habits(ctx)
	if err != nil {
		return shop{}, err
	}
	sh, err := readShop([]byte(doc))
	sh.revision = revision
	return sh, err
}

func readShop(doc []byte) (shop, error) {
	var stored habitsDoc
	if err := json.Unmarshal(doc, &stored); err != nil {
		return shop{}, err
	}
	sh := shop{unit: length.Inches}
	if slices.Contains(length.Units(), stored.Units) {
		sh.unit = stored.Units
	}
	sh.habits = plan.DefaultHabits(sh.unit)
	if stored.Habits == nil {
		return sh, nil
	}
	return sh, planfile.ReadPart(stored.Habits, sh.unit, &sh.habits)
}

func (sh shop) style() length.Style {
	return length.Style{Unit: sh.unit, Denominator: int64(sh.habits.Fraction)}
}

func (sh shop) l(l length.Length) answer.L { return answer.Show(l, sh.style()) }

func (s *server) habits(c *echo.Context) error {
	sh, err := s.shop(c.Request().Context())
	if err != nil {
		return err
	}
	return s.sendHabits(c, sh)
}

func (s *server) sendHabits(c *echo.Context, sh shop) error {
	doc, err := json.Marshal(planfile.Part(sh.habits, sh.unit))
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK,
		HabitsView{Revision: sh.revision, Units: string(sh.unit), Habits: doc, Chosen: sh.habits.Chosen(),
			Help: plan.HabitsHelp(), Decided: plan.Decided()})
}

func (s *server) saveHabits(c *echo.Context) error {
	var in SaveHabits
	if err := decode(c, &in); err != nil {
		return err
	}
	doc, err := json.Marshal(habitsDoc{Units: length.Unit(in.Units), Habits: in.Habits})
	if err != nil {
		return err
	}
	sh, err := readShop(doc)
	if err != nil {
		return err
	}
	if found := (plan.Plan{Units: sh.unit, Habits: sh.habits}).ValidateHabits(); len(found) > 0 {
		return planfile.Problems{{Path: found[0].About, Text: found[0].Text + " " + found[0].Remedy}}
	}
	ctx := c.Request().Context()
	was, err := s.shop(ctx)
	if err != nil {
		return err
	}
	if was.unit == sh.unit {
		sh.revision, err = s.store.SaveHabits(ctx, in.Base, string(doc))
	} else {
		sh, err = s.switchUnits(ctx, in.Base, was, sh)
	}
	if err != nil {
		return err
	}
	return s.sendHabits(c, sh)
}

// switchUnits keeps habits in another unit. What was usual in the one becomes what is usual in the other; what the shop
// holds stays what it is.
func (s *server) switchUnits(ctx context.Context, base int, was, sh shop) (shop, error) {
	sh.habits = sh.habits.In(was.unit, sh.unit)
	habits, err := json.Marshal(planfile.Part(sh.habits, sh.unit))
	if err != nil {
		return sh, err
	}
	doc, err := json.Marshal(habitsDoc{Units: sh.unit, Habits: habits})
	if err != nil {
		return sh, err
	}
	sh.revision, err = s.store.SwitchUnits(ctx, base, string(doc), func(table, doc string) (string, error) {
		exact, err := exactly(table, []byte(doc), was.unit)
		return string(exact), err
	})
	return sh, err
}

// exactly is what the shop holds with the unit written to every length, and what a price is for to every price.
func exactly(table string, doc []byte, was length.Unit) ([]byte, error) {
	switch table {
	case "samples":
		return planfile.Exactly(doc, was, &plan.Sample{})
	case "units":
		return planfile.Exactly(doc, was, &plan.MadeUnits{})
	case "notions":
		var n plan.Notion
		exact, err := planfile.Exactly(doc, was, &n)
		if err != nil || n.Price == 0 || n.Per != "" || !n.ByLength() {
			return exact, err
		}
		return with(exact, "per", plan.PerOf(was))
	}
	var c plan.Cloth
	exact, err := planfile.Exactly(doc, was, &c)
	if err != nil || c.Price == 0 || c.Per != "" {
		return exact, err
	}
	return with(exact, "per", plan.PerOf(was))
}

// with is a document with a field that says something else.
func with(doc []byte, key string, value any) ([]byte, error) {
	var fields map[string]any
	if err := json.Unmarshal(doc, &fields); err != nil {
		return nil, err
	}
	fields[key] = value
	return json.Marshal(fields)
}

// readCloth reads a description of a cloth and judges it.
func readCloth(doc []byte, sh shop) (plan.Cloth, error) {
	var c plan.Cloth
	if err := planfile.ReadPart(doc, sh.unit, &c); err != nil {
		return c, err
	}
	if c.Price != 0 && c.Per == "" { // whatever the unit of the plan that takes it
		c.Per = plan.PerOf(sh.unit)
	}
	c.Name = strings.TrimSpace(c.Name)
	if c.Name == "" {
		return c, planfile.Problems{{Path: "/name",
			Text: "A fabric needs a name. Type what you call it, such as ink leaf."}}
	}
	if found := (plan.Plan{Units: sh.unit, Habits: sh.habits}).ValidateCloth(c); len(found) > 0 {
		return c, planfile.Problems{{Path: strings.TrimPrefix(found[0].About, "/cloths/"+c.Name),
			Text: found[0].Text + " " + found[0].Remedy}}
	}
	return c, nil
}

// held are the cloths in the cupboard, as they are described.
func (s *server) held(ctx context.Context, sh shop) ([]plan.Cloth, error) {
	stored, err := s.store.Cloths(ctx)
	if err != nil {
		return nil, err
	}
	cloths := make([]plan.Cloth, len(stored))
	for i, st := range stored {
		if cloths[i], err = readCloth([]byte(st.Doc), sh); err != nil {
			return nil, err
		}
	}
	return cloths, nil
}

// cupboard is what there is of each cloth, by name.
func (s *server) cupboard(ctx context.Context) (supply.Cupboard, error) {
	sh, err := s.shop(ctx)
	if err != nil {
		return nil, err
	}
	cloths, err := s.held(ctx, sh)
	if err != nil {
		return nil, err
	}
	out := supply.Cupboard{}
	for _, c := range cloths {
		out[c.Name] = c
	}
	return out, nil
}

func (s *server) cloths(c *echo.Context) error {
	ctx := c.Request().Context()
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	stored, err := s.store.Cloths(ctx)
	if err != nil {
		return err
	}
	all, err := s.wants(ctx, nil)
	if err != nil {
		return err
	}
	cupboard, err := s.cupboard(ctx)
	if err != nil {
		return err
	}
	taken := map[string]shopping.Cloth{}
	for _, c := range shopping.List(all.wants, cupboard, sh.unit) {
		taken[c.Name] = c
	}
	titles, err := s.titles(ctx)
	if err != nil {
		return err
	}
	out := make([]ClothView, 0, len(stored))
	for _, st := range stored {
		v, err := clothView(st, sh, taken[st.Name], titles)
		if err != nil {
			return err
		}
		out = append(out, v)
	}
	return c.JSON(http.StatusOK, out)
}

// titles are those of the plans on the shelf, by their ids.
func (s *server) titles(ctx context.Context) (map[string]string, error) {
	plans, err := s.store.Plans(ctx)
	if err != nil {
		return nil, err
	}
	out := map[string]string{}
	for _, p := range plans {
		out[p.ID] = p.Title
	}
	return out, nil
}

func clothView(st store.Cloth, sh shop, taken shopping.Cloth, titles map[string]string) (ClothView, error) {
	c, err := readCloth([]byte(st.Doc), sh)
	if err != nil {
		return ClothView{}, err
	}
	doc, err := json.Marshal(planfile.Part(c.Taken(), sh.unit))
	if err != nil {
		return ClothView{}, err
	}
	settled := c.Settle()
	v := ClothView{ID: st.ID, Revision: st.Revision, Name: c.Name, Cloth: json.RawMessage(st.Doc), Taken: doc,
		Kind: string(settled.Kind), Width: sh.l(*settled.Width), Usable: sh.l(*settled.Usable),
		Plans: []string{}, Print: string(settled.Print), Swatch: settled.Swatch, Short: sh.l(0),
		Odd: sh.oddViews(c, titles), Kept: []KeptView{}, Facts: sh.facts(c)}
	for _, share := range taken.Shares {
		v.Plans = append(v.Plans, share.Plan)
	}
	v.Wanted = sh.l(taken.Need)
	for _, k := range c.Kept {
		v.Kept = append(v.Kept, KeptView{Plan: titleOf(k.For, titles), Length: sh.l(k.Length)})
	}
	if c.Have != nil {
		have := sh.l(*c.Have)
		v.Have, v.HaveText = &have, sh.style().Yards(*c.Have)
		v.Short = sh.l(taken.Missing)
	}
	return v, nil
}

// titleOf is a plan by its id; one that was put away has no title on the shelf.
func titleOf(id string, titles map[string]string) string {
	if title, there := titles[id]; there {
		return title
	}
	return "a plan that was put away"
}

func (sh shop) oddViews(c plan.Cloth, titles map[string]string) []OddView {
	out := []OddView{}
	for _, o := range c.Odd {
		v := OddView{Width: sh.l(o.Width), Length: sh.l(o.Length), Count: max(1, o.Count)}
		if o.For != "" {
			v.For = titleOf(o.For, titles)
		}
		out = append(out, v)
	}
	return out
}

// facts are what else is known of a cloth, each in a few words.
func (sh shop) facts(c plan.Cloth) []string {
	out := []string{}
	if c.Repeat != nil {
		out = append(out, fmt.Sprintf("motifs %s apart across, %s along", sh.style().Text(c.Repeat.Across), sh.style().
			Text(c.Repeat.Along)))
	}
	if c.Stretch > 0 {
		out = append(out, fmt.Sprintf("can be pulled %g%% longer", c.Stretch))
	}
	if c.Upright {
		out = append(out, "pieces are never turned")
	}
	switch {
	case c.Prewashed:
		out = append(out, "washed already")
	case c.Shrink > 0:
		out = append(out, fmt.Sprintf("shrinks by %g%%", c.Shrink))
	}
	if c.Price > 0 {
		_, per := c.Per.Sold(sh.unit)
		out = append(out, sh.money(c.Price)+" "+per)
	}
	return out
}

func (s *server) addCloth(c *echo.Context) error {
	return s.putCloth(c, http.StatusCreated, func(ctx context.Context, in SaveCloth, name string) (store.Cloth, error) {
		return s.store.AddCloth(ctx, name, string(in.Cloth))
	})
}

func (s *server) saveCloth(c *echo.Context) error {
	id, err := number(c)
	if err != nil {
		return err
	}
	return s.putCloth(c, http.StatusOK, func(ctx context.Context, in SaveCloth, name string) (store.Cloth, error) {
		return s.store.SaveCloth(ctx, id, in.Base, name, string(in.Cloth))
	})
}

func (s *server) putCloth(c *echo.Context, status int,
	put func(context.Context, SaveCloth, string) (store.Cloth, error)) error {
	ctx := c.Request().Context()
	var in SaveCloth
	if err := decode(c, &in); err != nil {
		return err
	}
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	cloth, err := readCloth(in.Cloth, sh)
	if err != nil {
		return err
	}
	st, err := put(ctx, in, cloth.Name)
	if err != nil {
		return err
	}
	titles, err := s.titles(ctx)
	if err != nil {
		return err
	}
	v, err := clothView(st, sh, shopping.Cloth{}, titles)
	if err != nil {
		return err
	}
	return c.JSON(status, v)
}

func (s *server) removeCloth(c *echo.Context) error {
	id, err := number(c)
	if err != nil {
		return err
	}
	if _, err := s.store.RemoveCloth(c.Request().Context(), id); err != nil {
		return err
	}
	return c.NoContent(http.StatusNoContent)
}

func number(c *echo.Context) (int, error) {
	n, err := strconv.Atoi(c.Param("id"))
	if err != nil {
		return 0, store.ErrNotFound
	}
	return n, nil
}

func (s *server) finish(c *echo.Context) error {
	var in FinishPlan
	if err := decode(c, &in); err != nil {
		return err
	}
	if err := (Standing{Save: in.Save}).known(); err != nil {
		return err
	}
	e, err := s.store.Finish(c.Request().Context(), c.Param("id"), store.Change{Base: in.Base, ID: in.Save},
		store.LogEntry{Minutes: in.Minutes, Notes: in.Notes, Next: in.Next, Photos: in.Photos})
	var conflict *store.ConflictError
	if errors.As(err, &conflict) {
		return s.answer(c, 0, store.Plan{}, err, nil)
	}
	if err != nil {
		return err
	}
	return s.sendEntry(c, http.StatusCreated, e)
}

func (s *server) sendEntry(c *echo.Context, status int, e store.LogEntry) error {
	shop, err := s.workshop(c.Request().Context(), "")
	if err != nil {
		return err
	}
	v, err := logView(e, shop)
	if err != nil {
		return err
	}
	return c.JSON(status, v)
}

func (s *server) logbook(c *echo.Context) error {
	entries, err := s.store.Log(c.Request().Context())
	if err != nil {
		return err
	}
	shop, err := s.workshop(c.Request().Context(), "")
	if err != nil {
		return err
	}
	out := make([]LogView, 0, len(entries))
	for _, e := range entries {
		v, err := logView(e, shop)
		if err != nil {
			return err
		}
		out = append(out, v)
	}
	return c.JSON(http.StatusOK, out)
}

// finished are the plans of the log as they were finished.
func (s *server) finished(ctx context.Context) ([]plan.Plan, error) {
	entries, err := s.store.Log(ctx)
	if err != nil {
		return nil, err
	}
	plans := make([]plan.Plan, 0, len(entries))
	for _, e := range entries {
		p, err := planfile.Read([]byte(e.Doc))
		if err != nil {
			s.log.Error("figures", "finished", e.Title, "error", err)
			continue
		}
		plans = append(plans, p)
	}
	return plans, nil
}

// figures answers with what the finished covers tell.
func (s *server) figures(c *echo.Context) error {
	plans, err := s.finished(c.Request().Context())
	if err != nil {
		return err
	}
	f := compare.FiguresOf(plans)
	return c.JSON(http.StatusOK, FiguresView{Figures: f, Seams: seamWords(f.Seams)})
}

// seamWords says by how much seams are off, to a hundredth of a millimetre: finer than any
// tape, since it is a mean of many.
func seamWords(off float64) string {
	hundredths := math.Round(math.Abs(off) / float64(length.Millimetre) * 100)
	switch {
	case hundredths == 0:
		return "true to a hundredth of a millimetre"
	case off > 0:
		return fmt.Sprintf("%.2f mm too wide", hundredths/100)
	}
	return fmt.Sprintf("%.2f mm too narrow", hundredths/100)
}

// logged reports the gates that are set beside the plan in the log.
func logged(gate string) bool {
	return slices.Contains([]string{ref.FrontQuilted.String(), ref.FrontSewn.String(), ref.CoverFinished.String()},
		gate)
}

// logView sets what was measured beside what was planned.
func logView(e store.LogEntry, shop *reckon.Workshop) (LogView, error) {
	p, err := planfile.Read([]byte(e.Doc))
	if err != nil {
		return LogView{}, err
	}
	doc, err := planfile.Upgraded([]byte(e.Doc))
	if err != nil {
		return LogView{}, err
	}
	r := reckon.Reckon(p, shop)
	v := LogView{ID: e.ID, Revision: e.Revision, PlanID: e.Plan, Title: e.Title, Finished: e.Finished,
		Minutes: e.Minutes, Notes: e.Notes, Next: e.Next,
		Photos: e.Photos, Troubles: p.Progress.Troubles, Plan: doc, Gates: []GateView{}, Pieces: plainly(r.Pieces),
		Swatches: swatchesIn([]byte(e.Doc))}
	copies := p.Settle().Copies
	for _, step := range r.Steps {
		v.Usual += step.Minutes * copies
	}
	if r.Cost != nil {
		v.PlannedCost = r.Cost.Taking(v.Usual)
		if e.Minutes > 0 {
			v.Cost = r.Cost.Taking(e.Minutes)
		}
	}
	for _, step := range r.Steps {
		if !logged(step.Gate) || step.Expect == nil {
			continue
		}
		g := GateView{Title: gateTitle(step.Gate), Planned: *step.Expect}
		if _, m, ok := p.MeasuredAs(step.Gate); ok {
			g.Measured = &answer.Size{Width: answer.Show(m.Width, p.Style()), Height: answer.Show(m.Height, p.Style())}
			g.Off = &answer.Size{
				Width:  answer.Show(m.Width-length.Length(step.Expect.Width.NM), p.Style()),
				Height: answer.Show(m.Height-length.Length(step.Expect.Height.NM), p.Style()),
			}
		}
		v.Gates = append(v.Gates, g)
	}
	return v, nil
}

func gateTitle(gate string) string {
	if gate == ref.CoverFinished.String() {
		return "Finished cover"
	}
	return "Front before the back was cut"
}

func (s *server) saveLog(c *echo.Context) error {
	id, err := number(c)
	if err != nil {
		return err
	}
	var in SaveLog
	if err := decode(c, &in); err != nil {
		return err
	}
	e, err := s.store.SaveLogEntry(c.Request().Context(),
		store.LogEntry{ID: id, Minutes: in.Minutes, Notes: in.Notes, Next: in.Next, Photos: in.Photos}, in.Base)
	if err != nil {
		return err
	}
	return s.sendEntry(c, http.StatusOK, e)
}

func (s *server) removeLog(c *echo.Context) error {
	id, err := number(c)
	if err != nil {
		return err
	}
	if err := s.store.RemoveLogEntry(c.Request().Context(), id); err != nil {
		return err
	}
	return c.NoContent(http.StatusNoContent)
}
