package web

import (
	"context"
	"encoding/json"
	"fmt"
	"net/http"
	"slices"
	"strings"

	"umschlag/core/answer"

	"github.com/labstack/echo/v5"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/stock"
	"umschlag/format/planfile"
	"umschlag/store"
)

// MovedCloth is what became of a cloth in the cupboard.
type MovedCloth struct {
	ID       int `json:"id"`
	Revision int `json:"revision"`
	// Before is its description as it was, to be taken back to.
	Before json.RawMessage `json:"before"`
	// Text says what was done.
	Text string `json:"text"`
}

// placing is a cloth of a plan beside the same in the cupboard.
type placing struct {
	plan   string
	need   answer.ClothNeed
	cloth  plan.Cloth
	stored store.Cloth
}

func (p placing) holder() stock.Holder { return stock.Holder{Plan: p.plan, Cloth: p.need.Cloth} }

// keepCloth keeps for a plan what it takes of a cloth.
func (s *server) keepCloth(c *echo.Context) error {
	return s.moveCloth(c, func(sh shop, p placing) (plan.Cloth, string, error) {
		kept, err := stock.Keep(p.cloth, p.holder(), length.Length(p.need.Need.NM), p.need.Used())
		if err != nil {
			return kept, "", echo.NewHTTPError(http.StatusConflict, sentence(err.Error()))
		}
		held, odd := stock.Holds(kept, p.holder())
		return kept, fmt.Sprintf("Of %s are kept for this plan: %s.", p.cloth.Name, sh.amount(held, odd)), nil
	})
}

// letClothGo keeps nothing of a cloth for a plan any more.
func (s *server) letClothGo(c *echo.Context) error {
	return s.moveCloth(c, func(_ shop, p placing) (plan.Cloth, string, error) {
		return stock.LetGo(p.cloth, p.holder()), fmt.Sprintf("Nothing of %s is kept for this plan any more.",
			p.cloth.Name), nil
	})
}

// returnCloth takes out of the cupboard what a plan was cut from, and puts back what is
// left over of it.
func (s *server) returnCloth(c *echo.Context) error {
	return s.moveCloth(c, func(sh shop, p placing) (plan.Cloth, string, error) {
		switch {
		case p.need.Returned:
			return p.cloth, "", echo.NewHTTPError(http.StatusConflict,
				"What was left over of "+p.cloth.Name+" is back in the cupboard already.")
		case !p.need.Done:
			return p.cloth, "", echo.NewHTTPError(http.StatusConflict,
				"Not all is cut of "+p.cloth.Name+" yet: tick off what is.")
		}
		left := p.need.Left()
		n := 0
		for _, o := range left {
			n += o.Count
		}
		return stock.Return(p.cloth, p.holder(), length.Length(p.need.Need.NM), p.need.Used(), left),
			fmt.Sprintf("%s of %s are out of the cupboard, and %s back.", sh.style().
				Text(length.Length(p.need.Need.NM)), p.cloth.Name, pieces(n)), nil
	})
}

func pieces(n int) string {
	if n == 1 {
		return "1 offcut is"
	}
	return fmt.Sprintf("%d offcuts are", n)
}

func (sh shop) amount(l length.Length, odd int) string {
	var parts []string
	if l > 0 {
		parts = append(parts, sh.style().Text(l))
	}
	switch {
	case odd == 1:
		parts = append(parts, "1 offcut")
	case odd > 1:
		parts = append(parts, fmt.Sprintf("%d offcuts", odd))
	}
	return strings.Join(parts, " and ")
}

// sentence is an error as it is read.
func sentence(text string) string { return strings.ToUpper(text[:1]) + text[1:] + "." }

// moveCloth changes a cloth of the cupboard for a plan.
func (s *server) moveCloth(c *echo.Context, move func(shop, placing) (plan.Cloth, string, error)) error {
	ctx := c.Request().Context()
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	p, err := s.placing(ctx, sh, c.Param("id"), c.Param("letter"))
	if err != nil {
		return err
	}
	after, text, err := move(sh, p)
	if err != nil {
		return err
	}
	doc, err := json.Marshal(planfile.Part(after, sh.unit))
	if err != nil {
		return err
	}
	if _, err := readCloth(doc, sh); err != nil {
		return err
	}
	saved, err := s.store.SaveCloth(ctx, p.stored.ID, p.stored.Revision, p.stored.Name, string(doc))
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK,
		MovedCloth{ID: saved.ID, Revision: saved.Revision, Before: json.RawMessage(p.stored.Doc), Text: text})
}

// placing finds a cloth of a plan in the cupboard.
func (s *server) placing(ctx context.Context, sh shop, id, letter string) (placing, error) {
	stored, err := s.store.Plan(ctx, id)
	if err != nil {
		return placing{}, err
	}
	p, err := planfile.Read([]byte(stored.Doc))
	if err != nil {
		return placing{}, err
	}
	w, err := s.workshop(ctx, id)
	if err != nil {
		return placing{}, err
	}
	r := reckon.Reckon(p, w)
	i := slices.IndexFunc(r.Cloths, func(n answer.ClothNeed) bool { return n.Cloth == letter })
	if i < 0 {
		return placing{}, store.ErrNotFound
	}
	cloths, err := s.store.Cloths(ctx)
	if err != nil {
		return placing{}, err
	}
	known, _ := w.Cloths.Of(r.Cloths[i].Name, stock.Holder{Plan: id, Cloth: letter})
	for _, st := range cloths {
		if st.Name != known {
			continue
		}
		cloth, err := readCloth([]byte(st.Doc), sh)
		return placing{plan: id, need: r.Cloths[i], cloth: cloth, stored: st}, err
	}
	return placing{}, echo.NewHTTPError(http.StatusConflict,
		r.Cloths[i].Name+" is not in the cupboard. Put it in under that name first.")
}
