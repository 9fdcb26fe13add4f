package web

import (
	"context"
	"encoding/json"
	"maps"
	"net/http"
	"slices"
	"strings"

	"umschlag/core/answer"
	"umschlag/core/compare"

	"github.com/labstack/echo/v5"

	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/sample"
	"umschlag/format/planfile"
	"umschlag/store"
)

// SampleView is a sample with what it tells.
type SampleView struct {
	ID       string `json:"id"`
	Revision int    `json:"revision"`
	// Sample is what was written of it.
	Sample json.RawMessage `json:"sample"`
	// Settled is the same with every length as it is shown.
	Settled      json.RawMessage `json:"settled"`
	Instructions []string        `json:"instructions"`
	Tells        []sample.Told   `json:"tells"`
}

// SampleUses are, by the id of each sample, the plans it is used in or could be.
type SampleUses map[string][]SampleUse

// OfferView is a sample that finished covers have sewn unasked.
type OfferView struct {
	Sample json.RawMessage `json:"sample"`
	Title  string          `json:"title"`
	// Covers it is of, by their titles, and what they tell together.
	Covers []string      `json:"covers"`
	Tells  []sample.Told `json:"tells"`
}

// SampleUse is a plan a sample is used in, or could be, and what it would change.
type SampleUse struct {
	Plan  string `json:"plan"`
	Title string `json:"title"`
	// Path is where the plan would name it, and Used tells that it does.
	Path string `json:"path"`
	Used bool   `json:"used"`
	// Takes is what washing takes, in percent; of a washed sample.
	Takes float64 `json:"takes,omitempty"`
	// Other says in what the plan's stack is another one; empty where it is not.
	Other string `json:"other"`
	// Changes are the cuts that change, before and after.
	Changes []CutChange `json:"changes"`
}

// CutChange is a cut as it is and as it would be.
type CutChange struct {
	Title string `json:"title"`
	From  string `json:"from"`
	To    string `json:"to"`
}

// SaveSample asks for a sample to be kept.
type SaveSample struct {
	Base   int             `json:"base,omitempty"`
	Sample json.RawMessage `json:"sample"`
}

// readWorkshop is what there is besides a plan: the cloths, the samples, and what other plans showed.
func (s *server) readWorkshop(ctx context.Context) (*reckon.Workshop, error) {
	cloths, err := s.cupboard(ctx)
	if err != nil {
		return nil, err
	}
	samples, err := s.shelfOfSamples(ctx)
	if err != nil {
		return nil, err
	}
	sh, err := s.shop(ctx)
	if err != nil {
		return nil, err
	}
	notions, err := s.notionsHeld(ctx, sh)
	if err != nil {
		return nil, err
	}
	units, err := s.unitsHeld(ctx, sh)
	if err != nil {
		return nil, err
	}
	past, err := s.past(ctx)
	return &reckon.Workshop{Habits: sh.habits, Notions: notions, Units: units, Cloths: cloths, Samples: samples,
		Past: past}, err
}

func (s *server) shelfOfSamples(ctx context.Context) (sample.Shelf, error) {
	sh, err := s.shop(ctx)
	if err != nil {
		return nil, err
	}
	stored, err := s.store.Samples(ctx)
	if err != nil {
		return nil, err
	}
	out := sample.Shelf{}
	for _, st := range stored {
		if out[st.ID], err = readSample([]byte(st.Doc), sh); err != nil {
			return nil, err
		}
	}
	return out, nil
}

// readSample reads a sample and judges it.
func readSample(doc []byte, sh shop) (plan.Sample, error) {
	var one plan.Sample
	if err := planfile.ReadPart(doc, sh.unit, &one); err != nil {
		return one, err
	}
	one.Title = strings.TrimSpace(one.Title)
	if one.Layers != nil && one.Layers.Batting != nil && one.Layers.Batting.Loft == 0 {
		one.Layers.Batting.Loft = plan.Samples(sh.unit)[0].Layers.Batting.Loft
	}
	if found := (plan.Plan{Units: sh.unit, Habits: sh.habits}).ValidateSample(one); len(found) > 0 {
		return one, planfile.Problems{{Path: found[0].About, Text: found[0].Text + " " + found[0].Remedy}}
	}
	return one, nil
}

func (s *server) samples(c *echo.Context) error {
	ctx := c.Request().Context()
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	stored, err := s.store.Samples(ctx)
	if err != nil {
		return err
	}
	out := make([]SampleView, 0, len(stored))
	for _, st := range stored {
		v, err := sampleView(st, sh)
		if err != nil {
			return err
		}
		out = append(out, v)
	}
	return c.JSON(http.StatusOK, out)
}

// sampleUses answers with what samples are used for. It reckons every plan that one of them
// could change, which who only wants to know what samples there are does not wait for.
func (s *server) sampleUses(c *echo.Context) error {
	ctx := c.Request().Context()
	kept, err := s.shelfOfSamples(ctx)
	if err != nil {
		return err
	}
	u, err := s.users(ctx)
	if err != nil {
		return err
	}
	out := SampleUses{}
	for id, one := range kept {
		out[id] = u.of(id, one)
	}
	return c.JSON(http.StatusOK, out)
}

// offers are the samples that finished covers tell, but for those that are kept already.
func (s *server) offers(c *echo.Context) error {
	ctx := c.Request().Context()
	finished, err := s.finished(ctx)
	if err != nil {
		return err
	}
	kept, err := s.shelfOfSamples(ctx)
	if err != nil {
		return err
	}
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	out := []OfferView{}
	for _, o := range compare.Offers(finished) {
		known := func(id string) bool {
			return kept[id].Title == o.Sample.Title && len(kept[id].After) >= len(o.Sample.After)
		}
		if slices.ContainsFunc(slices.Collect(maps.Keys(kept)), known) {
			continue
		}
		doc, err := json.Marshal(planfile.Part(o.Sample, sh.unit))
		if err != nil {
			return err
		}
		out = append(out, OfferView{Sample: doc, Title: o.Sample.Title, Covers: o.Covers,
			Tells: sample.Tell(o.Sample, sh.style())})
	}
	return c.JSON(http.StatusOK, out)
}

func sampleView(st store.Sample, sh shop) (SampleView, error) {
	one, err := readSample([]byte(st.Doc), sh)
	if err != nil {
		return SampleView{}, err
	}
	settled, err := json.Marshal(planfile.Part(one, sh.unit))
	if err != nil {
		return SampleView{}, err
	}
	return SampleView{ID: st.ID, Revision: st.Revision, Sample: json.RawMessage(st.Doc), Settled: settled,
		Instructions: sample.Instructions(one, sh.style()), Tells: sample.Tell(one, sh.style())}, nil
}

// users are the plans that samples can be used in, each read once and reckoned at most once
// as it is, however many samples are looked through.
type users struct {
	plans  []stored
	shop   *reckon.Workshop
	before map[string]answer.Reckoning
}

// stored is a plan of the shelf, read.
type stored struct {
	id, title string
	plan      plan.Plan
}

func (s *server) users(ctx context.Context) (*users, error) {
	plans, err := s.store.Plans(ctx)
	if err != nil {
		return nil, err
	}
	shop, err := s.workshop(ctx, "")
	if err != nil {
		return nil, err
	}
	u := &users{shop: shop, before: map[string]answer.Reckoning{}}
	for _, one := range plans {
		p, err := planfile.Read([]byte(one.Doc))
		if err != nil {
			continue // one that cannot be read says so on the shelf
		}
		u.plans = append(u.plans, stored{one.ID, one.Title, p})
	}
	return u, nil
}

// asIs is a plan reckoned as it is.
func (u *users) asIs(of stored) answer.Reckoning {
	r, known := u.before[of.id]
	if !known {
		r = reckon.Reckon(of.plan, u.shop)
		u.before[of.id] = r
	}
	return r
}

// of are the plans a sample tells something of, with what it would change in them.
func (u *users) of(id string, one plan.Sample) []SampleUse {
	u.shop.Samples = maps.Clone(u.shop.Samples) // it is everybody's
	u.shop.Samples[id] = one
	out := []SampleUse{}
	for _, p := range u.plans {
		for _, use := range compare.Uses(p.plan, id, one) {
			v := SampleUse{Plan: p.id, Title: p.title, Path: use.Path, Used: use.Used, Takes: use.Takes,
				Other: use.Other, Changes: []CutChange{}}
			if !use.Used && len(one.After) > 0 {
				v.Changes = changes(u.asIs(p), reckon.Reckon(use.With, u.shop))
			}
			out = append(out, v)
		}
	}
	return out
}

// changes are the cuts that differ between two reckonings.
func changes(before, after answer.Reckoning) []CutChange {
	size := func(c answer.Cut) string { return c.Width.Text + " × " + c.Height.Text }
	out := []CutChange{}
	for _, now := range after.Cuts {
		i := slices.IndexFunc(before.Cuts, func(c answer.Cut) bool { return c.ID == now.ID })
		if i >= 0 && size(before.Cuts[i]) != size(now) {
			out = append(out, CutChange{Title: now.Title, From: size(before.Cuts[i]), To: size(now)})
		}
	}
	return out
}

func (s *server) addSample(c *echo.Context) error {
	return s.putSample(c, http.StatusCreated,
		func(ctx context.Context, in SaveSample, title string) (store.Sample, error) {
			return s.store.AddSample(ctx, title, string(in.Sample))
		})
}

func (s *server) saveSample(c *echo.Context) error {
	return s.putSample(c, http.StatusOK, func(ctx context.Context, in SaveSample, _ string) (store.Sample, error) {
		return s.store.SaveSample(ctx, c.Param("id"), in.Base, string(in.Sample))
	})
}

// tellSample answers what a sample would tell. Nothing is kept.
func (s *server) tellSample(c *echo.Context) error {
	return s.putSample(c, http.StatusOK, func(_ context.Context, in SaveSample, _ string) (store.Sample, error) {
		return store.Sample{Doc: string(in.Sample)}, nil
	})
}

func (s *server) putSample(c *echo.Context, status int,
	put func(context.Context, SaveSample, string) (store.Sample, error)) error {
	ctx := c.Request().Context()
	var in SaveSample
	if err := decode(c, &in); err != nil {
		return err
	}
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	one, err := readSample(in.Sample, sh)
	if err != nil {
		return err
	}
	st, err := put(ctx, in, one.Title)
	if err != nil {
		return err
	}
	v, err := sampleView(st, sh)
	if err != nil {
		return err
	}
	return c.JSON(status, v)
}

func (s *server) putSampleAway(away bool) echo.HandlerFunc {
	return func(c *echo.Context) error {
		if err := s.store.PutSampleAway(c.Request().Context(), c.Param("id"), away); err != nil {
			return err
		}
		return c.NoContent(http.StatusNoContent)
	}
}
