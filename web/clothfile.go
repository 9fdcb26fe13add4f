package web

import (
	"encoding/json"
	"fmt"
	"io"
	"maps"
	"net/http"
	"reflect"
	"slices"
	"strings"

	"github.com/labstack/echo/v5"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/format/cupboardcsv"
	"umschlag/format/planfile"
	"umschlag/store"
)

// ClothFileView is what taking a table of cloths in would change, or has changed.
type ClothFileView struct {
	Added   []string      `json:"added"`
	Changed []ClothChange `json:"changed"`
	// Same is how many cloths stay as they are.
	Same int `json:"same"`
	// Problems are what is wrong with the table; nothing of it is taken in then.
	Problems []cupboardcsv.Fault `json:"problems"`
	// Taken tells that it was taken in.
	Taken bool `json:"taken"`
}

// ClothChange is a cloth with what changes of it.
type ClothChange struct {
	Name string   `json:"name"`
	What []string `json:"what"`
}

// clothsFile answers with the cupboard as a table.
func (s *server) clothsFile(c *echo.Context) error {
	ctx := c.Request().Context()
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	cloths, err := s.held(ctx, sh)
	if err != nil {
		return err
	}
	data, err := cupboardcsv.Write(cloths, sh.unit)
	if err != nil {
		return err
	}
	c.Response().Header().Set("Content-Disposition", `attachment; filename="cloths.csv"`)
	return c.Blob(http.StatusOK, "text/csv; charset=utf-8", data)
}

// takeCloths reads a table of cloths: without ?take=yes it says what would change, with it
// all of it is taken in, or nothing.
func (s *server) takeCloths(c *echo.Context) error {
	ctx := c.Request().Context()
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	data, err := io.ReadAll(c.Request().Body)
	if err != nil {
		return err
	}
	view := ClothFileView{Added: []string{}, Changed: []ClothChange{}, Problems: []cupboardcsv.Fault{}}
	cloths, err := cupboardcsv.Read(data, sh.unit, sh.wrong)
	if problems, ok := err.(cupboardcsv.Faults); ok {
		view.Problems = problems[:min(len(problems), mostProblems)]
		return c.JSON(http.StatusOK, view)
	}
	if err != nil {
		return err
	}
	stored, err := s.store.Cloths(ctx)
	if err != nil {
		return err
	}
	changes, err := merged(cloths, stored, sh, &view)
	if err != nil {
		return err
	}
	if c.QueryParam("take") == "yes" {
		if err := s.store.TakeCloths(ctx, changes); err != nil {
			return err
		}
		view.Taken = true
	}
	return c.JSON(http.StatusOK, view)
}

// mostProblems of one table are listed.
const mostProblems = 50

// wrong is what the rules say against a cloth, and in which column.
func (sh shop) wrong(cloth plan.Cloth) (column, text string) {
	found := (plan.Plan{Units: sh.unit, Habits: sh.habits}).ValidateCloth(cloth)
	if len(found) == 0 {
		return "", ""
	}
	at := found[0].About
	return at[strings.LastIndex(at, "/")+1:], found[0].Text + " " + found[0].Remedy
}

// merged are the rows of a table laid over the cupboard: a cloth of a new name is added,
// of one that is there the fields that are filled in are changed.
func merged(cloths []plan.Cloth, stored []store.Cloth, sh shop, view *ClothFileView) ([]store.Cloth, error) {
	var out []store.Cloth
	for _, cloth := range cloths {
		fields, err := fieldsOf(cloth, sh)
		if err != nil {
			return nil, err
		}
		i := slices.IndexFunc(stored, func(st store.Cloth) bool { return strings.EqualFold(st.Name, cloth.Name) })
		if i < 0 {
			doc, err := json.Marshal(fields)
			if err != nil {
				return nil, err
			}
			view.Added = append(view.Added, cloth.Name)
			out = append(out, store.Cloth{Name: cloth.Name, Doc: string(doc)})
			continue
		}
		now, err := readCloth([]byte(stored[i].Doc), sh)
		if err != nil {
			return nil, err
		}
		before, err := fieldsOf(now, sh)
		if err != nil {
			return nil, err
		}
		what := sh.overlay(before, fields)
		if len(what) == 0 {
			view.Same++
			continue
		}
		doc, err := json.Marshal(before)
		if err != nil {
			return nil, err
		}
		view.Changed = append(view.Changed, ClothChange{Name: cloth.Name, What: what})
		out = append(out, store.Cloth{ID: stored[i].ID, Name: cloth.Name, Doc: string(doc), Revision: stored[i].Revision})
	}
	return out, nil
}

// fieldsOf is a cloth as a JSON object.
func fieldsOf(cloth plan.Cloth, sh shop) (map[string]any, error) {
	data, err := json.Marshal(planfile.Part(cloth, sh.unit))
	if err != nil {
		return nil, err
	}
	var out map[string]any
	return out, json.Unmarshal(data, &out)
}

// overlay lays the filled fields of an object over another, and says what changed.
func (sh shop) overlay(onto, with map[string]any) []string {
	var what []string
	keys := make([]string, 0, len(with))
	for key := range with {
		keys = append(keys, key)
	}
	slices.Sort(keys)
	for _, key := range keys {
		value := with[key]
		if inner, ok := value.(map[string]any); ok {
			now, _ := onto[key].(map[string]any)
			if now == nil {
				now = map[string]any{}
			}
			what = append(what, sh.overlay(now, inner)...)
			onto[key] = now
			continue
		}
		if key == "name" || value == "" || reflect.DeepEqual(unkept(onto[key]), unkept(value)) {
			continue
		}
		what = append(what, fmt.Sprintf("%s %s → %s", key, sh.shown(key, onto[key]), sh.shown(key, value)))
		onto[key] = value
	}
	return what
}

// unkept is a field without whom odd pieces are kept for, which no table says.
func unkept(value any) any {
	list, ok := value.([]any)
	if !ok {
		return value
	}
	out := make([]any, 0, len(list))
	for _, one := range list {
		piece, ok := one.(map[string]any)
		if !ok {
			return value
		}
		piece = maps.Clone(piece)
		delete(piece, "for")
		if piece["count"] == 1.0 { // as when it is not said
			delete(piece, "count")
		}
		out = append(out, piece)
	}
	return out
}

// shown is a field as it is read by the maker.
func (sh shop) shown(key string, value any) string {
	if value == nil {
		return "not said"
	}
	if list, ok := value.([]any); ok {
		return fmt.Sprintf("%d sizes", len(list))
	}
	text := fmt.Sprint(value)
	l, err := length.Parse(text, sh.unit)
	switch {
	case err != nil:
		return text
	case key == "have":
		return sh.style().Yards(l)
	case key == "width" || key == "usable":
		return sh.style().Text(l)
	}
	return text
}
