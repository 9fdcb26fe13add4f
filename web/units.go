package web

import (
	"context"
	"encoding/json"
	"net/http"
	"strings"

	"github.com/labstack/echo/v5"

	"umschlag/core/length"
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

// unitsDoc is units as they are stored: the unit of every length is written with it, so that they are read in any
// workshop.
func unitsDoc(u plan.MadeUnits) (string, error) {
	if found := u.Validate(length.Style{Unit: length.Inches}); len(found) > 0 {
		return "", planfile.Problems{{Path: found[0].About, Text: found[0].Text + " " + found[0].Remedy}}
	}
	doc, err := json.Marshal(planfile.Part(u, length.Inches))
	if err != nil {
		return "", err
	}
	exact, err := planfile.Exactly(doc, length.Inches, &plan.MadeUnits{})
	return string(exact), err
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
	if err := s.store.MoveUnits(ctx, of.Key(), moved(of, u.Count)); err != nil {
		return err
	}
	return c.NoContent(http.StatusNoContent)
}

// moved puts so many units into the cupboard, or takes them out below 0.
func moved(of stock.Units, by int) func(string) (string, error) {
	return func(doc string) (string, error) {
		now := 0
		if doc != "" {
			u, _, err := readUnits([]byte(doc), shop{unit: length.Inches})
			if err != nil {
				return "", err
			}
			now = u.Count
		}
		if now+by == 0 {
			return "", nil
		}
		return unitsDoc(of.Doc(now + by))
	}
}

// asFarAsCan is a move that fails for nothing: a plan is saved whatever became of the cupboard meanwhile. Of what is
// not there none is taken, and more than are kept of one kind are not put in.
func asFarAsCan(m stock.Moved) func(string) (string, error) {
	return func(doc string) (string, error) {
		by := m.By
		if u, _, err := readUnits([]byte(doc), shop{unit: length.Inches}); err == nil {
			by = min(max(by, -u.Count), plan.MostMade-u.Count)
		} else if doc == "" {
			by = min(max(by, 0), plan.MostMade)
		}
		after, err := moved(m.Units, by)(doc)
		if err != nil {
			return doc, nil //nolint:nilerr // it stays as it is
		}
		return after, nil
	}
}

// followed is what a change of a plan moves in the cupboard.
func followed(before, after string) []store.UnitMove {
	if both := before + after; !strings.Contains(both, `"made"`) && !strings.Contains(both, `"over"`) {
		return nil
	}
	was, err := planfile.Read([]byte(before))
	now, failed := planfile.Read([]byte(after))
	if err != nil || failed != nil {
		return nil // what cannot be read has nothing of the cupboard
	}
	var out []store.UnitMove
	for _, m := range stock.Moves(was.Settle(), now.Settle()) {
		out = append(out, store.UnitMove{Name: m.Key(), Change: asFarAsCan(m)})
	}
	return out
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
		doc, err := unitsDoc(u)
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
