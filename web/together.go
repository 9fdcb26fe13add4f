package web

import (
	"context"
	"net/http"
	"slices"

	"umschlag/core/answer"
	"umschlag/core/compare"

	"github.com/labstack/echo/v5"

	"umschlag/core/lay"
	"umschlag/core/plan"
	"umschlag/format/planfile"
	"umschlag/store"
)

// TogetherView is several plans on one lay of a cloth.
type TogetherView struct {
	Cloth  string      `json:"cloth"`
	Swatch plan.Swatch `json:"swatch"`
	// Plans are those that take of the cloth, Pieces what is cut, by the cuts of the lay.
	Plans  []TogetherPlan  `json:"plans"`
	Pieces []TogetherPiece `json:"pieces"`
	Lay    answer.Lay      `json:"lay"`
	// Need is what the lay takes with its end squared, Apart what the plans take laid by
	// themselves, Saves the difference.
	Need  answer.L `json:"need"`
	Apart answer.L `json:"apart"`
	Saves answer.L `json:"saves"`
}

// TogetherPlan is a plan that takes of the cloth.
type TogetherPlan struct {
	ID     string `json:"id"`
	Title  string `json:"title"`
	Chosen bool   `json:"chosen"`
}

// TogetherPiece is what is cut for one of the plans.
type TogetherPiece struct {
	Plan   string   `json:"plan"`
	Title  string   `json:"title"`
	Width  answer.L `json:"width"`
	Height answer.L `json:"height"`
	Count  int      `json:"count"`
}

// together is what is cut of one cloth for several plans.
type together struct {
	compare.Together
	plans  []TogetherPlan
	chosen []string
	swatch plan.Swatch
}

// together gathers the needs of plans for the cloth of a name; no plans are all that
// still take of it.
func (s *server) together(ctx context.Context, cloth string, chosen []string) (together, error) {
	out := together{}
	plans, err := s.store.Plans(ctx)
	if err != nil {
		return out, err
	}
	w, err := s.workshop(ctx, "")
	if err != nil {
		return out, err
	}
	w.Cloths = nil // one length for all of them: odd pieces are for single plans
	var all []compare.Needs
	for _, stored := range plans {
		p, err := planfile.Read([]byte(stored.Doc))
		if err != nil {
			continue // one that cannot be read says so on the shelf
		}
		w.ID = stored.ID
		n, takes := compare.Named(p, w, cloth)
		if !takes {
			continue
		}
		seen, err := s.lookAt(ctx, stored)
		if err != nil {
			return out, err
		}
		if cutAlready(seen.view.Reckoning, cloth) {
			continue
		}
		picked := len(chosen) == 0 || slices.Contains(chosen, stored.ID)
		out.plans = append(out.plans, TogetherPlan{ID: stored.ID, Title: stored.Title, Chosen: picked})
		if picked {
			all = append(all, n)
			out.chosen = append(out.chosen, stored.Title)
			out.swatch = swatchNamed(p, cloth)
		}
	}
	if len(all) == 0 {
		return out, store.ErrNotFound
	}
	out.Together = compare.Joined(all)
	return out, nil
}

func cutAlready(r answer.Reckoning, cloth string) bool {
	return slices.ContainsFunc(r.Cloths, func(n answer.ClothNeed) bool { return n.Name == cloth && n.Done })
}

func swatchNamed(p plan.Plan, name string) plan.Swatch {
	p = p.Settle()
	for _, c := range p.Cloths {
		if c.Name == name {
			return c.Settle().Swatch
		}
	}
	return plan.Swatch{}
}

// togetherView answers with the plans named by ?plan= on one lay of ?cloth=.
func (s *server) togetherView(c *echo.Context) error {
	ctx := c.Request().Context()
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	cloth := c.QueryParam("cloth")
	t, err := s.together(ctx, cloth, c.QueryParams()["plan"])
	if err != nil {
		return err
	}
	l, _ := lay.Of(t.Items, t.On)
	need, saves := t.Takes(l)
	v := TogetherView{Cloth: cloth, Swatch: t.swatch, Plans: t.plans, Pieces: []TogetherPiece{},
		Lay: answer.ShowLay(l, sh.style()), Need: sh.l(need), Apart: sh.l(t.Apart), Saves: sh.l(saves)}
	for _, it := range t.Items {
		v.Pieces = append(v.Pieces,
			TogetherPiece{Plan: t.chosen[t.Owner[it.Cut]], Title: t.Titles[it.Cut], Width: sh.l(it.Width),
				Height: sh.l(it.Height), Count: it.Count})
	}
	return c.JSON(http.StatusOK, v)
}
