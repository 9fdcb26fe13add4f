package web

import (
	"context"
	"net/http"
	"slices"

	"github.com/labstack/echo/v5"

	"umschlag/core/reckon"
	"umschlag/core/shopping"
	"umschlag/format/planfile"
	"umschlag/store"
)

// ShoppingView is what is bought for the plans chosen.
type ShoppingView struct {
	// Plans are all on the shelf that still take cloth, in its order.
	Plans  []ShoppingPlan  `json:"plans"`
	Cloths []ShoppingCloth `json:"cloths"`
	// Things are what the plans chosen take beside cloth.
	Things []ShoppingThings `json:"things"`
}

// ShoppingPlan is a plan that may be shopped for.
type ShoppingPlan struct {
	ID     string `json:"id"`
	Title  string `json:"title"`
	Chosen bool   `json:"chosen"`
}

// ShoppingCloth is what the plans chosen take of a cloth.
type ShoppingCloth struct {
	Name string   `json:"name"`
	Need reckon.L `json:"need"`
	// Have is what the cupboard holds, absent when nobody said.
	Have *reckon.L `json:"have,omitempty"`
	// Left is what stays in the cupboard when what is kept for the plans is cut.
	Left reckon.L `json:"left"`
	// Buy is what to ask for; its text is empty where nothing is bought.
	Buy     reckon.L        `json:"buy"`
	BuyText string          `json:"buy_text"`
	Shares  []ShoppingShare `json:"shares"`
}

// ShoppingShare is where one plan's cloth comes from.
type ShoppingShare struct {
	Plan string   `json:"plan"`
	Need reckon.L `json:"need"`
	// From is own, cupboard or shop.
	From string `json:"from"`
}

// ShoppingThings is what a plan takes beside cloth, for each of its covers.
type ShoppingThings struct {
	ID      string          `json:"id"`
	Plan    string          `json:"plan"`
	Covers  int             `json:"covers"`
	Lengths []reckon.Notion `json:"lengths"`
	Buttons int             `json:"buttons"`
}

// shopping answers what to buy for the plans named by ?plan=, for all without it.
func (s *server) shopping(c *echo.Context) error {
	ctx := c.Request().Context()
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	have, err := s.cupboard(ctx)
	if err != nil {
		return err
	}
	view, wants, err := s.wants(ctx, c.QueryParams()["plan"])
	if err != nil {
		return err
	}
	for _, cloth := range shopping.List(wants, have, sh.unit) {
		view.Cloths = append(view.Cloths, sh.shoppingCloth(cloth))
	}
	return c.JSON(http.StatusOK, view)
}

// wants looks the shelf through for what is not cut yet; no chosen plans are all.
func (s *server) wants(ctx context.Context, chosen []string) (ShoppingView, []shopping.Want, error) {
	view := ShoppingView{Plans: []ShoppingPlan{}, Cloths: []ShoppingCloth{}, Things: []ShoppingThings{}}
	plans, err := s.store.Plans(ctx)
	if err != nil {
		return view, nil, err
	}
	if slices.ContainsFunc(chosen, func(id string) bool {
		return !slices.ContainsFunc(plans, func(p store.Plan) bool { return p.ID == id })
	}) {
		return view, nil, store.ErrNotFound
	}
	samples, err := s.shelfOfSamples(ctx)
	if err != nil {
		return view, nil, err
	}
	var wants []shopping.Want
	for _, stored := range plans {
		p, err := planfile.Read([]byte(stored.Doc))
		if err != nil {
			return view, nil, err
		}
		r := reckon.Reckon(p, &reckon.Workshop{Samples: samples})
		mine := r.Wants(stored.Title)
		if len(mine) == 0 {
			continue
		}
		listed := ShoppingPlan{ID: stored.ID, Title: stored.Title, Chosen: len(chosen) == 0 || slices.Contains(chosen, stored.ID)}
		view.Plans = append(view.Plans, listed)
		if listed.Chosen {
			wants = append(wants, mine...)
			view.Things = append(view.Things, thingsOf(stored, p.Copies, r))
		}
	}
	return view, wants, nil
}

func thingsOf(stored store.Plan, covers int, r reckon.Reckoning) ShoppingThings {
	things := ShoppingThings{ID: stored.ID, Plan: stored.Title, Covers: covers, Lengths: r.Lengths}
	if r.Back != nil {
		things.Buttons = r.Back.Buttons
	}
	return things
}

func (sh shop) shoppingCloth(c shopping.Cloth) ShoppingCloth {
	out := ShoppingCloth{Name: c.Name, Need: sh.l(c.Need), Left: sh.l(c.Left), Buy: sh.l(c.Buy), Shares: []ShoppingShare{}}
	if c.Known {
		have := sh.l(c.Have)
		out.Have = &have
	}
	if c.Buy > 0 {
		out.BuyText = sh.style().Yards(c.Buy)
	}
	for _, s := range c.Shares {
		out.Shares = append(out.Shares, ShoppingShare{Plan: s.Plan, Need: sh.l(s.Need), From: string(s.From)})
	}
	return out
}
