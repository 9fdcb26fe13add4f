package web

import (
	"context"
	"encoding/json"
	"fmt"
	"net/http"

	"github.com/labstack/echo/v5"

	"umschlag/core/plan"
	"umschlag/core/stock"
	"umschlag/format/planfile"
	"umschlag/store"
)

// readUnits reads units of the cupboard and judges them.
func readUnits(doc []byte, sh shop) (plan.MadeUnits, stock.Units, error) {
	var u plan.MadeUnits
	if err := planfile.ReadPart(doc, sh.unit, &u); err != nil {
		return u, stock.Units{}, err
	}
	if found := u.Validate(sh.style()); len(found) > 0 {
		return u, stock.Units{}, planfile.Problems{{Path: found[0].About, Text: found[0].Text + " " + found[0].Remedy}}
	}
	of, err := stock.ReadUnits(u)
	if err != nil {
		return u, of, planfile.Problems{{Path: "/cells", Text: sentence(err.Error()) +
			" Write a unit as a block is written, by letters from A, such as A / B, and name a fabric for each letter."}}
	}
	return u, of, nil
}

// unitsHeld are the units in the cupboard.
func (s *server) unitsHeld(ctx context.Context, sh shop) ([]plan.MadeUnits, error) {
	stored, err := s.store.Units(ctx)
	if err != nil {
		return nil, err
	}
	out := make([]plan.MadeUnits, len(stored))
	for i, st := range stored {
		if out[i], _, err = readUnits([]byte(st.Doc), sh); err != nil {
			return nil, err
		}
	}
	return out, nil
}

func (s *server) units(c *echo.Context) error {
	ctx := c.Request().Context()
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	stored, err := s.store.Units(ctx)
	if err != nil {
		return err
	}
	cloths, err := s.cupboard(ctx)
	if err != nil {
		return err
	}
	out := make([]UnitsView, 0, len(stored))
	for _, st := range stored {
		u, of, err := readUnits([]byte(st.Doc), sh)
		if err != nil {
			return err
		}
		v := UnitsView{ID: st.ID, Revision: st.Revision, Name: of.Named(u.Count), Says: of.Says(sh.style()),
			Count: u.Count, Units: json.RawMessage(st.Doc), Swatches: []plan.Swatch{}}
		for _, name := range u.Fabrics {
			if cloth, there := cloths[name]; there {
				v.Swatches = append(v.Swatches, cloth.Swatch)
			}
		}
		out = append(out, v)
	}
	return c.JSON(http.StatusOK, out)
}

// unitsDoc is units as they are stored.
func unitsDoc(u plan.MadeUnits, sh shop) (string, error) {
	doc, err := json.Marshal(planfile.Part(u, sh.unit))
	if err != nil {
		return "", err
	}
	_, _, err = readUnits(doc, sh)
	return string(doc), err
}

// addUnits puts units into the cupboard, beside those that are there of their kind.
func (s *server) addUnits(c *echo.Context) error {
	ctx := c.Request().Context()
	var in AddUnits
	if err := decode(c, &in); err != nil {
		return err
	}
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	u, of, err := readUnits(in.Units, sh)
	if err != nil {
		return err
	}
	more := moved(sh, of, func(now int) (int, error) { return now + u.Count, nil })
	if err := s.store.MoveUnits(ctx, of.Key(), more); err != nil {
		return err
	}
	return c.NoContent(http.StatusNoContent)
}

// moved changes how many there are of units in the cupboard.
func moved(sh shop, of stock.Units, count func(now int) (int, error)) func(string) (string, error) {
	return func(doc string) (string, error) {
		now := 0
		if doc != "" {
			u, _, err := readUnits([]byte(doc), sh)
			if err != nil {
				return "", err
			}
			now = u.Count
		}
		after, err := count(now)
		if err != nil || after == 0 {
			return "", err
		}
		return unitsDoc(of.Doc(after), sh)
	}
}

// saveUnits says how many there are of units in the cupboard.
func (s *server) saveUnits(c *echo.Context) error {
	ctx := c.Request().Context()
	id, err := number(c)
	if err != nil {
		return err
	}
	var in SaveUnits
	if err := decode(c, &in); err != nil {
		return err
	}
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	stored, err := s.store.Units(ctx)
	if err != nil {
		return err
	}
	for _, st := range stored {
		if st.ID != id {
			continue
		}
		u, of, err := readUnits([]byte(st.Doc), sh)
		if err != nil {
			return err
		}
		u.Count = in.Count
		doc, err := unitsDoc(u, sh)
		if err != nil {
			return err
		}
		if _, err = s.store.SaveUnits(ctx, id, in.Base, of.Key(), doc); err != nil {
			return err
		}
		return c.NoContent(http.StatusNoContent)
	}
	return store.ErrNotFound
}

func (s *server) removeUnits(c *echo.Context) error {
	id, err := number(c)
	if err != nil {
		return err
	}
	if _, err := s.store.RemoveUnits(c.Request().Context(), id); err != nil {
		return err
	}
	return c.NoContent(http.StatusNoContent)
}

// moveUnits puts units of a plan into the cupboard, or takes some out for it.
func (s *server) moveUnits(c *echo.Context) error {
	ctx := c.Request().Context()
	var in MoveUnits
	if err := decode(c, &in); err != nil {
		return err
	}
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	of, err := s.unitsOf(ctx, c.Param("id"), in.Made)
	if err != nil {
		return err
	}
	err = s.store.MoveUnits(ctx, of.Key(), moved(sh, of, func(now int) (int, error) {
		if now != in.Held || now+in.Put < 0 {
			return now, echo.NewHTTPError(http.StatusConflict,
				fmt.Sprintf("There are %d such units in the cupboard now. Look at how many are told here, and try again.", now))
		}
		return now + in.Put, nil
	}))
	if err != nil {
		return err
	}
	n, how := in.Put, "into"
	if n < 0 {
		n, how = -n, "out of"
	}
	return c.JSON(http.StatusOK, MovedUnits{Text: fmt.Sprintf("%d %s moved %s the cupboard.", n, of.Named(n), how)})
}

// unitsOf is what the cupboard knows units of a plan by: with the names of its fabrics, and its seam.
func (s *server) unitsOf(ctx context.Context, id string, made []byte) (stock.Units, error) {
	stored, err := s.store.Plan(ctx, id)
	if err != nil {
		return stock.Units{}, err
	}
	p, err := planfile.Read([]byte(stored.Doc))
	if err != nil {
		return stock.Units{}, err
	}
	p = p.Settle()
	var m plan.Made
	if err := planfile.ReadPart(made, p.Units, &m); err != nil {
		return stock.Units{}, err
	}
	of, err := stock.UnitsOf(p, m)
	if err != nil {
		return of, planfile.Problems{{Path: "/made/cells", Text: sentence(err.Error())}}
	}
	return of, nil
}
