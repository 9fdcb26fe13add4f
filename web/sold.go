package web

import (
	"fmt"
	"net/http"

	"github.com/labstack/echo/v5"

	"umschlag/core/compare"
	"umschlag/format/planfile"
	"umschlag/store"
)

// SoldView is how a cloth of a plan could be bought.
type SoldView struct {
	// Says is the width, or the quarters; Takes what the plan takes of it as it is sold.
	Says  string `json:"says"`
	Takes string `json:"takes"`
}

// soldAs tells what a plan takes of a cloth in other widths, and in quarters.
func (s *server) soldAs(c *echo.Context) error {
	ctx, id := c.Request().Context(), c.Param("id")
	stored, err := s.store.Plan(ctx, id)
	if err != nil {
		return err
	}
	p, err := planfile.Read([]byte(stored.Doc))
	if err != nil {
		return err
	}
	w, err := s.workshop(ctx, id)
	if err != nil {
		return err
	}
	sold, ok := compare.SoldAs(p, w, c.Param("letter"))
	if !ok {
		return store.ErrNotFound
	}
	style := p.Settle().Style()
	out := []SoldView{}
	for _, o := range sold {
		v := SoldView{Says: style.Text(o.Width) + " wide", Takes: style.Yards(o.Buy)}
		if o.Quarters > 0 {
			wide, long := style.Text(o.Quarter.Width), style.Text(o.Quarter.Length)
			v = SoldView{Says: fmt.Sprintf("in quarters of %s × %s", wide, long), Takes: fmt.Sprint(o.Quarters)}
		}
		out = append(out, v)
	}
	return c.JSON(http.StatusOK, out)
}
