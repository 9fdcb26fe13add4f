package web

import (
	"context"
	"net/http"
	"slices"
	"strconv"

	"umschlag/core/answer"
	"umschlag/core/compare"

	"github.com/labstack/echo/v5"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/shopping"
	"umschlag/core/stock"
	"umschlag/format/listcsv"
	"umschlag/format/planfile"
	"umschlag/store"
)

// ShoppingView is what is bought for the plans chosen.
type ShoppingView struct {
	// Plans are all on the shelf that still take cloth, in its order.
	Plans  []ShoppingPlan  `json:"plans"`
	Cloths []ShoppingCloth `json:"cloths"`
	// Things are what the plans chosen take beside cloth.
	Things []ShoppingThing `json:"things"`
	// Passed says which units that are over in one plan another takes.
	Passed []string `json:"passed"`
	// Cost of what is bought, as far as prices are known; Unpriced names the rest.
	Cost     string   `json:"cost"`
	Unpriced []string `json:"unpriced"`
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
	Need answer.L `json:"need"`
	// Have is what the cupboard holds, absent when nobody said.
	Have *answer.L `json:"have,omitempty"`
	// Left is what stays in the cupboard when what is kept for the plans is cut.
	Left answer.L `json:"left"`
	// Buy is what to ask for; its text is empty where nothing is bought, Cost where nobody
	// said a price.
	Buy     answer.L        `json:"buy"`
	BuyText string          `json:"buy_text"`
	Cost    string          `json:"cost"`
	Shares  []ShoppingShare `json:"shares"`
	// Instead is what could be changed so that less is bought.
	Instead []string `json:"instead"`
}

// ShoppingShare is where one plan's cloth comes from.
type ShoppingShare struct {
	Plan string   `json:"plan"`
	Need answer.L `json:"need"`
	// Odd is how many odd pieces are cut beside it.
	Odd int `json:"odd"`
	// From is own, cupboard or shop.
	From string `json:"from"`
}

// ShoppingThing is what the plans chosen take of something beside cloth.
type ShoppingThing struct {
	What   string `json:"what"`
	Notion string `json:"notion"`
	// Need, Have and Buy as they are asked for; Buy is empty where nothing is bought.
	Need  string   `json:"need"`
	Have  string   `json:"have"`
	Buy   string   `json:"buy"`
	Cost  string   `json:"cost"`
	Plans []string `json:"plans"`
}

// wantedAll is what plans of the shelf want.
type wantedAll struct {
	plans  []ShoppingPlan
	wants  []shopping.Want
	things []shopping.ThingWant
	// chosen are the plans that are shopped for, with their reckonings.
	chosen []chosenPlan
}

type chosenPlan struct {
	stored store.Plan
	plan   plan.Plan
	r      answer.Reckoning
}

// shopping answers what to buy for the plans named by ?plan=, for all without it.
func (s *server) shopping(c *echo.Context) error {
	view, err := s.shoppingFor(c)
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, view)
}

// shoppingFile answers the same as a table.
func (s *server) shoppingFile(c *echo.Context) error {
	return s.tableFile(c, "shopping.csv", func(context.Context, shop) ([]byte, error) {
		view, err := s.shoppingFor(c)
		if err != nil {
			return nil, err
		}
		var list []listcsv.Bought
		for _, cloth := range view.Cloths {
			one := listcsv.Bought{What: cloth.Name, Need: cloth.Need.Text, Buy: cloth.BuyText, Cost: cloth.Cost}
			if cloth.Have != nil {
				one.Have = cloth.Have.Text
			}
			for _, share := range cloth.Shares {
				one.Plans = append(one.Plans, share.Plan)
			}
			list = append(list, one)
		}
		for _, t := range view.Things {
			list = append(list,
				listcsv.Bought{What: t.What, Need: t.Need, Have: t.Have, Buy: t.Buy, Cost: t.Cost, Plans: t.Plans})
		}
		return listcsv.Shopping(list).Write()
	})
}

func (s *server) shoppingFor(c *echo.Context) (view ShoppingView, err error) {
	ctx := c.Request().Context()
	sh, err := s.shop(ctx)
	if err != nil {
		return view, err
	}
	cupboard, err := s.cupboard(ctx)
	if err != nil {
		return view, err
	}
	notions, err := s.notionsHeld(ctx, sh)
	if err != nil {
		return view, err
	}
	all, err := s.wants(ctx, c.QueryParams()["plan"])
	if err != nil {
		return view, err
	}
	cloths, things := shopping.List(all.wants, cupboard, sh.unit), shopping.Things(all.things, notions, sh.unit)
	sum, unpriced := shopping.Bill(cloths, things)
	view = ShoppingView{Plans: all.plans, Cloths: []ShoppingCloth{}, Things: []ShoppingThing{}, Passed: []string{},
		Unpriced: append([]string{}, unpriced...)}
	w, err := s.workshop(ctx, "")
	if err != nil {
		return view, err
	}
	purse := reckon.NewPurse(&reckon.Workshop{On: w.On})
	for _, cloth := range cloths {
		one := sh.shoppingCloth(cloth)
		one.Instead = compare.Instead(cloth.Name, all.toBuy(cloth.Name), cupboard, purse)
		view.Cloths = append(view.Cloths, one)
	}
	for _, t := range things {
		view.Things = append(view.Things, sh.shoppingThing(t))
	}
	for _, p := range shopping.Pass(all.units()) {
		view.Passed = append(view.Passed, p.Says(sh.style()))
	}
	if sum > 0 {
		view.Cost = sh.money(sum)
	}
	return view, nil
}

// units are those that the plans chosen are sewn from.
func (w wantedAll) units() []shopping.UnitWant {
	var out []shopping.UnitWant
	for _, c := range w.chosen {
		p := c.plan.Settle()
		for _, u := range c.r.Units {
			of, err := stock.UnitsOf(p, plan.Made{Cells: u.Cells, Cloths: u.Cloths, Width: length.Length(u.Width.NM),
				Height: length.Length(u.Height.NM)})
			if err != nil {
				continue // told as such where it stands
			}
			out = append(out, shopping.UnitWant{Plan: c.stored.Title, Of: of, Missing: u.Need - u.Have,
				Over: u.Over - u.Kept})
		}
	}
	return out
}

// toBuy are the plans chosen that have to buy a cloth.
func (w wantedAll) toBuy(cloth string) []compare.Buyer {
	var out []compare.Buyer
	for _, c := range w.chosen {
		if slices.ContainsFunc(w.wants, func(want shopping.Want) bool {
			return want.Plan == c.stored.Title && want.Cloth == cloth && want.From == shopping.Shop
		}) {
			out = append(out, compare.Buyer{Title: c.stored.Title, Plan: c.plan, Reckoning: c.r})
		}
	}
	return out
}

// wants looks the shelf through for what is not cut yet; no chosen plans are all. Those
// chosen share the cupboard out in the order of the shelf.
func (s *server) wants(ctx context.Context, chosen []string) (wantedAll, error) {
	all := wantedAll{plans: []ShoppingPlan{}}
	plans, err := s.store.Plans(ctx)
	if err != nil {
		return all, err
	}
	if slices.ContainsFunc(chosen, func(id string) bool {
		return !slices.ContainsFunc(plans, func(p store.Plan) bool { return p.ID == id })
	}) {
		return all, store.ErrNotFound
	}
	w, err := s.workshop(ctx, "")
	if err != nil {
		return all, err
	}
	look, err := s.shelving(ctx)
	if err != nil {
		return all, err
	}
	for _, stored := range plans {
		if sum, known := look.known(stored); known && !sum.Takes {
			continue // all of it is cut, whatever the others take
		}
		p, err := planfile.Read([]byte(stored.Doc))
		if err != nil {
			continue // one that cannot be read says so on the shelf
		}
		seen, err := s.lookAt(ctx, stored)
		if err != nil {
			return all, err
		}
		if !seen.takes {
			continue
		}
		picked, r := len(chosen) == 0 || slices.Contains(chosen, stored.ID), seen.view.Reckoning
		if w.ID = stored.ID; len(all.chosen) > 0 {
			r = reckon.Reckon(p, w)
		}
		mine := r.Wants(p, stored.Title)
		all.plans = append(all.plans, ShoppingPlan{ID: stored.ID, Title: stored.Title, Chosen: picked})
		if !picked {
			continue
		}
		after := w.After(p, r)
		w = &after
		all.wants = append(all.wants, mine...)
		all.things = append(all.things, r.Things(p, stored.Title)...)
		all.chosen = append(all.chosen, chosenPlan{stored, p, r})
	}
	return all, nil
}

func (sh shop) shoppingCloth(c shopping.Cloth) ShoppingCloth {
	out := ShoppingCloth{Name: c.Name, Need: sh.l(c.Need), Left: sh.l(c.Left), Buy: sh.l(c.Buy),
		Shares: []ShoppingShare{}}
	if c.Known {
		have := sh.l(c.Have)
		out.Have = &have
	}
	if c.Buy > 0 {
		out.BuyText = c.As.Says(c.Count, sh.style())
	}
	if c.Cost > 0 {
		out.Cost = sh.money(c.Cost)
	}
	for _, s := range c.Shares {
		out.Shares = append(out.Shares,
			ShoppingShare{Plan: s.Plan, Need: sh.l(s.Need), Odd: s.Odd, From: string(s.From)})
	}
	return out
}

func (sh shop) shoppingThing(t shopping.Thing) ShoppingThing {
	out := ShoppingThing{What: t.What, Notion: t.Notion, Plans: t.Plans}
	if t.Cost > 0 {
		out.Cost = sh.money(t.Cost)
	}
	if t.Pieces > 0 {
		count := func(n int) string {
			if t.Each > 0 {
				return strconv.Itoa(n) + " of " + sh.style().Text(t.Each)
			}
			return strconv.Itoa(n)
		}
		out.Need = count(t.Pieces)
		if t.Notion != "" {
			out.Have = strconv.Itoa(t.There)
		}
		if t.Packs > 0 {
			out.Buy = count(max(t.Packs, t.Pieces-t.There))
		}
		return out
	}
	out.Need = sh.style().Long(t.Need)
	if t.Notion != "" {
		out.Have = sh.style().Long(t.Have)
	}
	switch {
	case t.Packs == 1:
		out.Buy = "1 pack"
	case t.Packs > 1:
		out.Buy = strconv.Itoa(t.Packs) + " packs"
	case t.Missing > 0:
		out.Buy = sh.style().Long(t.Missing)
	}
	return out
}

// money is an amount as it is written, with what the maker calls it.
func (sh shop) money(amount float64) string { return answer.Money(amount, sh.habits.Currency) }
