package web

import (
	"context"
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

// ClothFileView is what taking a table in would change, or has changed.
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

// clothsFile answers with the cloths of the cupboard as a table.
func (s *server) clothsFile(c *echo.Context) error {
	return s.tableFile(c, "cloths.csv", func(ctx context.Context, sh shop) ([]byte, error) {
		cloths, err := s.held(ctx, sh)
		if err != nil {
			return nil, err
		}
		return cupboardcsv.Write(cloths, sh.unit)
	})
}

// notionsFile answers with the notions of the cupboard as a table.
func (s *server) notionsFile(c *echo.Context) error {
	return s.tableFile(c, "notions.csv", func(ctx context.Context, sh shop) ([]byte, error) {
		notions, err := s.notionsHeld(ctx, sh)
		if err != nil {
			return nil, err
		}
		return cupboardcsv.WriteNotions(notions, sh.unit)
	})
}

func (s *server) tableFile(c *echo.Context, name string, write func(context.Context, shop) ([]byte, error)) error {
	ctx := c.Request().Context()
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	data, err := write(ctx, sh)
	if err != nil {
		return err
	}
	c.Response().Header().Set("Content-Disposition", fmt.Sprintf("attachment; filename=%q", name))
	return c.Blob(http.StatusOK, "text/csv; charset=utf-8", data)
}

// tabled is how rows of a table are read and laid over what is in the cupboard.
type tabled[T any] struct {
	read   func(data []byte) ([]T, error)
	name   func(T) string
	again  func(doc []byte) (T, error)
	stored func(context.Context) ([]store.Held, error)
	take   func(context.Context, []store.Held) error
}

// takeCloths reads a table of cloths: without ?take=yes it says what would change, with it
// all of it is taken in, or nothing.
func (s *server) takeCloths(c *echo.Context) error {
	sh, err := s.shop(c.Request().Context())
	if err != nil {
		return err
	}
	return takeTable(c, sh, tabled[plan.Cloth]{
		read:   func(data []byte) ([]plan.Cloth, error) { return cupboardcsv.Read(data, sh.unit, sh.wrong) },
		name:   func(cloth plan.Cloth) string { return cloth.Name },
		again:  func(doc []byte) (plan.Cloth, error) { return readCloth(doc, sh) },
		stored: s.store.Cloths, take: s.store.TakeCloths,
	})
}

// takeNotions does the same with a table of notions.
func (s *server) takeNotions(c *echo.Context) error {
	sh, err := s.shop(c.Request().Context())
	if err != nil {
		return err
	}
	judge := func(n plan.Notion) (column, text string) {
		found := (plan.Plan{Units: sh.unit, Habits: sh.habits}).ValidateNotion(n)
		if len(found) == 0 {
			return "", ""
		}
		return strings.ReplaceAll(found[0].About[1:], "_", " "), found[0].Text + " " + found[0].Remedy
	}
	return takeTable(c, sh, tabled[plan.Notion]{
		read:   func(data []byte) ([]plan.Notion, error) { return cupboardcsv.ReadNotions(data, sh.unit, judge) },
		name:   func(n plan.Notion) string { return n.Name },
		again:  func(doc []byte) (plan.Notion, error) { return readNotion(doc, sh) },
		stored: s.store.Notions, take: s.store.TakeNotions,
	})
}

func takeTable[T any](c *echo.Context, sh shop, of tabled[T]) error {
	ctx := c.Request().Context()
	data, err := io.ReadAll(c.Request().Body)
	if err != nil {
		return err
	}
	view := ClothFileView{Added: []string{}, Changed: []ClothChange{}, Problems: []cupboardcsv.Fault{}}
	list, err := of.read(data)
	if problems, ok := err.(cupboardcsv.Faults); ok {
		view.Problems = problems[:min(len(problems), mostProblems)]
		return c.JSON(http.StatusOK, view)
	}
	if err != nil {
		return err
	}
	stored, err := of.stored(ctx)
	if err != nil {
		return err
	}
	changes, err := merged(of, list, stored, sh, &view)
	if err != nil {
		return err
	}
	if c.QueryParam("take") == "yes" {
		if err := of.take(ctx, changes); err != nil {
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

// merged are the rows of a table laid over the cupboard: a thing of a new name is added,
// of one that is there the fields that are filled in are changed.
func merged[T any](of tabled[T], list []T, stored []store.Held, sh shop, view *ClothFileView) ([]store.Held, error) {
	var out []store.Held
	for _, one := range list {
		name := of.name(one)
		fields, err := fieldsOf(one, sh)
		if err != nil {
			return nil, err
		}
		i := slices.IndexFunc(stored, func(st store.Held) bool { return strings.EqualFold(st.Name, name) })
		if i < 0 {
			doc, err := json.Marshal(fields)
			if err != nil {
				return nil, err
			}
			view.Added = append(view.Added, name)
			out = append(out, store.Held{Name: name, Doc: string(doc)})
			continue
		}
		now, err := of.again([]byte(stored[i].Doc))
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
		view.Changed = append(view.Changed, ClothChange{Name: name, What: what})
		out = append(out, store.Held{ID: stored[i].ID, Name: name, Doc: string(doc), Revision: stored[i].Revision})
	}
	return out, nil
}

// fieldsOf is a thing of the cupboard as a JSON object.
func fieldsOf[T any](thing T, sh shop) (map[string]any, error) {
	data, err := json.Marshal(planfile.Part(thing, sh.unit))
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
