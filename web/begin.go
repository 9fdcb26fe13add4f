package web

import (
	"encoding/json"
	"fmt"
	"net/http"
	"slices"
	"strings"

	"github.com/labstack/echo/v5"

	"umschlag/core/block"
	"umschlag/core/compare"
	"umschlag/core/length"
	"umschlag/core/move"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/work"
	"umschlag/format/planfile"
)

// QuiltingPattern is a quilting pattern with a usual distance between its lines.
type QuiltingPattern struct {
	Key      string          `json:"key"`
	Name     string          `json:"name"`
	Quilting json.RawMessage `json:"quilting"`
}

// WeightView is a weight of cloth, and how it is said.
type WeightView struct {
	Key  string `json:"key"`
	Name string `json:"name"`
}

// StartsView is what plans and decisions begin with in a unit.
type StartsView struct {
	// Weights of cloth, the usual one first.
	Weights []WeightView `json:"weights"`
	Things  []ThingView  `json:"things"`
	// Patterns of quilting that go by a name and by nothing of a face, as a test square is quilted; no quilting first.
	Patterns []QuiltingPattern `json:"patterns"`
	// Samples of every kind as they begin.
	Samples []json.RawMessage `json:"samples"`
	// Troubles that are met while working, with what helps.
	Troubles []work.Trouble `json:"troubles"`
	// Least and Most a patch usually finishes.
	Least string `json:"least"`
	Most  string `json:"most"`
	// Blocks of the library, the simplest first.
	Blocks []BlockView `json:"blocks"`
	// Forms that shapes are cut from.
	Forms []FormView `json:"forms"`
}

// ThingView is something a plan can begin with.
type ThingView struct {
	Key      string         `json:"key"`
	Name     string         `json:"name"`
	Filled   bool           `json:"filled"`
	Measures []plan.Measure `json:"measures"`
	// Usual are the sizes to type over, by the keys of the measures.
	Usual map[string]string `json:"usual"`
}

// BeginPlan asks for the plan a thing begins with.
type BeginPlan struct {
	Thing string `json:"thing"`
	// Sizes as typed, by the keys of the measures.
	Sizes map[string]string `json:"sizes"`
	Fill  string            `json:"fill,omitempty"`
	Title string            `json:"title"`
}

// MoveFitting asks where a fitting stands when it is brought to a place.
type MoveFitting struct {
	Moving
	// Fitting is its index in the plan.
	Fitting int `json:"fitting"`
}

// Moving is a place that something is brought to.
type Moving struct {
	Plan json.RawMessage `json:"plan"`
	// X and Y of the corner of the first rectangle round it, in nanometres on its piece.
	X int64 `json:"x"`
	Y int64 `json:"y"`
	// Across and Down are ruler steps further to the right and down.
	Across int64 `json:"across"`
	Down   int64 `json:"down"`
}

// MovedFitting is a place in the notation of plan files.
type MovedFitting struct {
	At json.RawMessage `json:"at"`
}

// starts answers what plans and decisions begin with.
func (s *server) starts(c *echo.Context) error {
	unit := length.Unit(c.QueryParam("units"))
	if !slices.Contains(length.Units(), unit) {
		return planfile.Problems{{Path: "/units", Text: "Type one of in, cm, mm."}}
	}
	text := length.Style{Unit: unit}.Plain
	st := plan.StartsIn(unit)
	out := StartsView{Least: text(st.Least), Most: text(st.Most)}
	for _, t := range plan.Things() {
		v := ThingView{Key: t.Key, Name: t.Name, Filled: t.Filled, Measures: t.Measures, Usual: map[string]string{}}
		for _, m := range t.Measures {
			v.Usual[m.Key] = text(m.Usual(unit))
		}
		out.Things = append(out.Things, v)
	}
	for _, key := range plan.Weights.Names() {
		out.Weights = append(out.Weights, WeightView{Key: key, Name: plan.ClothWeight(key).Rules().Says})
	}
	for _, key := range plan.Patterns.Names() {
		pattern, _ := plan.Patterns.Of(key)
		if pattern.Follows != "" {
			continue
		}
		doc, err := json.Marshal(planfile.Part(pattern.Make(st.Apart), unit))
		if err != nil {
			return err
		}
		out.Patterns = append(out.Patterns, QuiltingPattern{Key: key, Name: pattern.Says, Quilting: doc})
	}
	for _, one := range plan.Samples(unit) {
		doc, err := json.Marshal(planfile.Part(one, unit))
		if err != nil {
			return err
		}
		out.Samples = append(out.Samples, doc)
	}
	for _, n := range block.Library() {
		v, err := blockView(n.Text)
		if err != nil {
			return err
		}
		v.Name, v.Title = n.Name, n.Title
		out.Blocks = append(out.Blocks, v)
	}
	out.Forms = forms()
	out.Troubles = work.Troubles(unit)
	return c.JSON(http.StatusOK, out)
}

// closures answers a plan file with what each closure would make of it.
func (s *server) closures(c *echo.Context) error {
	p, err := planIn(c)
	if err != nil {
		return err
	}
	shop, err := s.workshop(c.Request().Context(), "")
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, compare.Closures(p, reckon.NewPurse(shop)))
}

// begin answers the plan a thing begins with, by the habits and with a cloth of its own, which its brief describes or
// takes from the cupboard.
func (s *server) begin(c *echo.Context) error {
	var in BeginPlan
	if err := decode(c, &in); err != nil {
		return err
	}
	sh, err := s.shop(c.Request().Context())
	if err != nil {
		return err
	}
	p, ok := plan.Begin(in.Thing, sh.unit, sh.habits, plan.Cloth{Name: "fabric A"})
	if !ok {
		return planfile.Problems{{Path: "/thing", Text: fmt.Sprintf("There is no plan to begin with %q.", in.Thing)}}
	}
	if p.Title = strings.TrimSpace(in.Title); p.Title == "" {
		p.Title = "A new cover"
	}
	p.Object.Fill = plan.Fill(in.Fill)
	doc := planfile.Full(p)
	// Sizes stay as they were typed: reading the plan judges them.
	object, _ := doc["object"].(map[string]any)
	for key, size := range in.Sizes {
		object[key] = size
	}
	if typed, err := json.Marshal(doc); err == nil {
		if measured, err := planfile.Read(typed); err == nil {
			doc["cover"] = planfile.Full(measured.Sized())["cover"]
		}
	}
	return c.JSON(http.StatusOK, doc)
}

// move answers where a fitting stands when it is brought to a place.
func (s *server) move(c *echo.Context) error {
	var in MoveFitting
	if err := decode(c, &in); err != nil {
		return err
	}
	return in.send(c, fmt.Sprintf("/fittings/%d", in.Fitting), "fitting",
		func(p plan.Plan, x, y length.Length) (plan.At, bool) {
			return move.Fitting(p, in.Fitting, x, y)
		})
}

// send answers with the place of the thing at a path of the plan when it is moved.
func (m Moving) send(c *echo.Context, path, thing string,
	move func(p plan.Plan, x, y length.Length) (plan.At, bool)) error {
	p, err := planfile.Read(m.Plan)
	if err != nil {
		return err
	}
	step := p.Habits.Step
	at, ok := move(p, length.Length(m.X)+step*length.Length(m.Across), length.Length(m.Y)+step*length.Length(m.Down))
	if !ok {
		return planfile.Problems{{Path: path,
			Text: "This " + thing + " cannot be moved: put right what the brief says of it first."}}
	}
	doc, err := json.Marshal(planfile.Part(at, p.Units))
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, MovedFitting{At: doc})
}
