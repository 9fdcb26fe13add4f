package web

import (
	"context"
	"encoding/json"
	"fmt"
	"net/http"
	"strings"

	"github.com/labstack/echo/v5"

	"umschlag/core/plan"
	"umschlag/format/planfile"
	"umschlag/store"
)

// readNotion reads a thing that is not cloth and judges it.
func readNotion(doc []byte, sh shop) (plan.Notion, error) {
	var n plan.Notion
	if err := planfile.ReadPart(doc, sh.unit, &n); err != nil {
		return n, err
	}
	n.Name, n.For = strings.TrimSpace(n.Name), strings.TrimSpace(n.For)
	if n.Price != 0 && n.Per == "" && n.ByLength() { // whatever the unit of the plan it is bought for
		n.Per = plan.PerOf(sh.unit)
	}
	if found := (plan.Plan{Units: sh.unit, Habits: sh.habits}).ValidateNotion(n); len(found) > 0 {
		return n, planfile.Problems{{Path: found[0].About, Text: found[0].Text + " " + found[0].Remedy}}
	}
	return n, nil
}

// notionsHeld are the notions in the cupboard, as they are described.
func (s *server) notionsHeld(ctx context.Context, sh shop) ([]plan.Notion, error) {
	stored, err := s.store.Notions(ctx)
	if err != nil {
		return nil, err
	}
	out := make([]plan.Notion, len(stored))
	for i, st := range stored {
		if out[i], err = readNotion([]byte(st.Doc), sh); err != nil {
			return nil, err
		}
	}
	return out, nil
}

func notionView(st store.Held, sh shop) (NotionView, error) {
	n, err := readNotion([]byte(st.Doc), sh)
	if err != nil {
		return NotionView{}, err
	}
	return NotionView{ID: st.ID, Revision: st.Revision, Name: n.Name, Notion: json.RawMessage(st.Doc),
		Text: sh.notionText(n), Colour: n.Colour}, nil
}

func (sh shop) notionText(n plan.Notion) string {
	parts := []string{"as " + n.For}
	switch {
	case n.Count > 0 && n.Each > 0:
		parts = append(parts, fmt.Sprintf("%d of %s", n.Count, sh.style().Text(n.Each)))
	case n.Count > 0:
		parts = append(parts, fmt.Sprint(n.Count))
	case n.Have > 0:
		parts = append(parts, sh.style().Long(n.Have))
	default:
		parts = append(parts, "none left")
	}
	if n.Price > 0 {
		parts = append(parts, sh.money(n.Price)+" "+sh.sold(n))
	}
	return strings.Join(parts, ", ")
}

// sold is what a price is for.
func (sh shop) sold(n plan.Notion) string {
	switch {
	case n.Pack > 0:
		return "for " + sh.style().Long(n.Pack)
	case n.PackCount > 1:
		return fmt.Sprintf("for %d", n.PackCount)
	case n.Count > 0 || n.Each > 0:
		return "each"
	}
	_, per := n.Per.Sold(sh.unit)
	return per
}

func (s *server) notions(c *echo.Context) error {
	ctx := c.Request().Context()
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	stored, err := s.store.Notions(ctx)
	if err != nil {
		return err
	}
	out := make([]NotionView, 0, len(stored))
	for _, st := range stored {
		v, err := notionView(st, sh)
		if err != nil {
			return err
		}
		out = append(out, v)
	}
	return c.JSON(http.StatusOK, out)
}

func (s *server) addNotion(c *echo.Context) error {
	return s.putNotion(c, http.StatusCreated,
		func(ctx context.Context, in SaveNotion, name string) (store.Held, error) {
			return s.store.AddNotion(ctx, name, string(in.Notion))
		})
}

func (s *server) saveNotion(c *echo.Context) error {
	id, err := number(c)
	if err != nil {
		return err
	}
	return s.putNotion(c, http.StatusOK, func(ctx context.Context, in SaveNotion, name string) (store.Held, error) {
		return s.store.SaveNotion(ctx, id, in.Base, name, string(in.Notion))
	})
}

func (s *server) putNotion(c *echo.Context, status int,
	put func(context.Context, SaveNotion, string) (store.Held, error)) error {
	ctx := c.Request().Context()
	var in SaveNotion
	if err := decode(c, &in); err != nil {
		return err
	}
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	n, err := readNotion(in.Notion, sh)
	if err != nil {
		return err
	}
	st, err := put(ctx, in, n.Name)
	if err != nil {
		return err
	}
	v, err := notionView(st, sh)
	if err != nil {
		return err
	}
	return c.JSON(status, v)
}

func (s *server) removeNotion(c *echo.Context) error {
	id, err := number(c)
	if err != nil {
		return err
	}
	if _, err := s.store.RemoveNotion(c.Request().Context(), id); err != nil {
		return err
	}
	return c.NoContent(http.StatusNoContent)
}
