package web

import (
	"context"
	"encoding/json"
	"fmt"
	"net/http"
	"time"

	"github.com/labstack/echo/v5"

	"umschlag/core/answer"
	"umschlag/core/become"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/show"
	"umschlag/core/stock"
	"umschlag/format/planfile"
)

const (
	// becomeFor is how long fronts are looked for at most, and becomeEvery how many are tried between two words
	// of how far it is.
	becomeFor   = 30 * time.Second
	becomeEvery = 8
	// mostBecoming are looked for at a time.
	mostBecoming = 2
	// mostAlike is the most pieces of a size a bundle has of a cloth.
	mostAlike = 999
)

// AskBecome asks what cloth that is there can become: fronts for the cushion of a plan, or for one of a size.
type AskBecome struct {
	Plan string `json:"plan,omitempty"`
	// Width and Height of the pad as typed; Largest tries all that are sold instead.
	Width   string `json:"width,omitempty"`
	Height  string `json:"height,omitempty"`
	Largest bool   `json:"largest,omitempty"`
	// Cloths are names in the cupboard, Pieces what is not in it.
	Cloths []string       `json:"cloths"`
	Pieces []BecomePieces `json:"pieces"`
}

// BecomePieces are pieces of a size of several cloths, each with so many: a bundle.
type BecomePieces struct {
	Fabrics int    `json:"fabrics"`
	Count   int    `json:"count"`
	Width   string `json:"width"`
	Length  string `json:"length"`
}

// BecomeView is how far it is; Fronts come with the last of them.
type BecomeView struct {
	Tried  int           `json:"tried"`
	Of     int           `json:"of"`
	Found  int           `json:"found"`
	Fronts []BecomeFront `json:"fronts,omitempty"`
	Done   bool          `json:"done,omitempty"`
}

// BecomeFront is a front the cloth can become.
type BecomeFront struct {
	Title string   `json:"title"`
	Why   []string `json:"why"`
	// Width and Height of the pad it is for.
	Width  answer.L `json:"width"`
	Height answer.L `json:"height"`
	// Waste in percent of what is cut into.
	Waste int `json:"waste"`
	// Lost is how that comes about.
	Lost    string `json:"lost"`
	Cuts    int    `json:"cuts"`
	Fabrics int    `json:"fabrics"`
	// Left says what is left of each cloth.
	Left []string `json:"left"`
	// Plan with it, in the notation of plan files, and its front as it is drawn.
	Plan  json.RawMessage `json:"plan"`
	Piece answer.Piece    `json:"piece"`
}

// becomeFrom looks for fronts and tells how far it is line by line, the fronts in the last.
func (s *server) becomeFrom(c *echo.Context) error {
	ctx, cancel := context.WithTimeout(c.Request().Context(), becomeFor)
	defer cancel()
	var in AskBecome
	if err := decode(c, &in); err != nil {
		return err
	}
	order, err := s.becomeOrder(ctx, in)
	if err != nil {
		return err
	}
	select {
	case s.becoming <- struct{}{}:
		defer func() { <-s.becoming }()
	default:
		return echo.NewHTTPError(http.StatusTooManyRequests, "Two of these run already. Stop one, or wait for it.")
	}
	w := c.Response()
	w.Header().Set("Content-Type", "application/x-ndjson")
	w.WriteHeader(http.StatusOK)
	lines := json.NewEncoder(w)
	var last become.Progress
	say := func(v BecomeView) error {
		v.Tried, v.Of, v.Found = last.Tried, last.Of, last.Found
		if err := lines.Encode(v); err != nil {
			return fmt.Errorf("tell what it can become: %w", err)
		}
		return http.NewResponseController(w).Flush()
	}
	found := become.Find(order, func(p become.Progress) bool {
		if last = p; p.Tried%becomeEvery != 1 {
			return ctx.Err() == nil
		}
		return ctx.Err() == nil && say(BecomeView{}) == nil
	})
	out := BecomeView{Done: true, Fronts: []BecomeFront{}}
	for _, f := range found {
		view, err := frontView(f)
		if err != nil {
			return err
		}
		out.Fronts = append(out.Fronts, view)
	}
	return say(out)
}

// frontView is a front as it is shown.
func frontView(f become.Front) (BecomeFront, error) {
	style := f.Plan.Style()
	doc, err := json.Marshal(planfile.Full(f.Plan))
	if err != nil {
		return BecomeFront{}, fmt.Errorf("write what it can become: %w", err)
	}
	out := BecomeFront{Title: f.Title, Why: append([]string{}, f.Why...), Width: answer.Show(f.Width, style),
		Height: answer.Show(f.Height, style), Waste: int(100*f.Waste + 0.5), Cuts: f.Cuts, Fabrics: f.Fabrics,
		Lost: lostSaid(f, style),
		Left: []string{}, Plan: doc, Piece: show.Of(f.Made).Pieces[0]}
	for _, l := range f.Left {
		if said := leftSaid(l.Pieces, style); said != "" {
			out.Left = append(out.Left, l.Name+": "+said)
		}
	}
	return out, nil
}

// lostSaid tells how what is lost in scraps comes about, by areas.
func lostSaid(f become.Front, style length.Style) string {
	one, name := length.Inch.Float(), "in²"
	if style.Unit != length.Inches {
		one, name = length.Centimetre.Float(), "cm²"
	}
	area := func(nm2 float64) int { return int(nm2/one/one + 0.5) }
	return fmt.Sprintf("Cut into, less what is left of it: %d %s. In pieces: %d %s. Lost in scraps: %d %s.",
		area(f.Gone), name, area(f.InPieces), name, max(0, area(f.Gone)-area(f.InPieces)), name)
}

// leftSaid are the pieces that are left of a cloth, the largest of them in words.
func leftSaid(pieces []lay.Odd, style length.Style) string {
	said := ""
	for i, o := range pieces {
		switch {
		case i == 3:
			return said + " and smaller"
		case i > 0:
			said += ", "
		}
		if o.Count > 1 {
			said += fmt.Sprintf("%d of ", o.Count)
		}
		said += style.Text(o.Width) + " × " + style.Text(o.Length)
	}
	return said
}

// asked is what is asked for as it is read, with what is wrong with it.
type asked struct {
	sh       shop
	problems planfile.Problems
}

func (a *asked) wrong(path, text string) {
	a.problems = append(a.problems, planfile.Problem{Path: path, Text: text})
}

// mostSide is longer than any pad or piece of cloth that something becomes of.
const mostSide = 500 * length.Inch

// size reads one.
func (a *asked) size(path, text string) length.Length {
	l, err := length.Parse(text, a.sh.unit)
	least := length.Inch
	if a.sh.unit != length.Inches {
		least = 2 * length.Centimetre
	}
	switch {
	case err != nil:
		a.wrong(path, err.Error())
	case l < least || l > mostSide:
		a.wrong(path, fmt.Sprintf("It cannot be %s; type a size from %s to %s.", text, a.sh.style().Text(least),
			a.sh.style().Text(mostSide.Floor(least))))
	}
	return l
}

// becomeOrder reads what is asked.
func (s *server) becomeOrder(ctx context.Context, in AskBecome) (become.Order, error) {
	sh, err := s.shop(ctx)
	if err != nil {
		return become.Order{}, err
	}
	a := &asked{sh: sh}
	out := become.Order{Largest: in.Largest}
	if out.Plan, err = s.becomeOf(ctx, in, a); err != nil {
		return out, err
	}
	w, err := s.workshop(ctx, in.Plan)
	if err != nil {
		return out, err
	}
	for _, name := range in.Cloths {
		c, known := w.Cloths[name]
		if !known {
			a.wrong("/cloths", fmt.Sprintf("There is no %s in the cupboard. Choose it again.", name))
			continue
		}
		out.Cloths = append(out.Cloths, become.Cloth{Cloth: free(c, in.Plan), Known: true})
	}
	for i, b := range in.Pieces {
		o := a.piece(fmt.Sprintf("/pieces/%d", i), b)
		for range min(b.Fabrics, become.MostCloths+1) {
			out.Cloths = append(out.Cloths, become.Cloth{Cloth: bundled(len(out.Cloths), o)})
		}
	}
	if n := len(out.Cloths); n == 0 || n > become.MostCloths {
		a.wrong("/cloths", fmt.Sprintf("Choose from 1 to %d fabrics; these are %d.", become.MostCloths, n))
	}
	if len(a.problems) > 0 {
		return out, a.problems
	}
	return out, nil
}

// becomeOf is the cushion whose front is sought: a plan's, or one that begins.
func (s *server) becomeOf(ctx context.Context, in AskBecome, a *asked) (plan.Plan, error) {
	if in.Plan != "" {
		stored, err := s.store.Plan(ctx, in.Plan)
		if err != nil {
			return plan.Plan{}, err
		}
		p, err := planfile.Read([]byte(stored.Doc))
		if err == nil && !p.Settle().Cover.Rules().ByBack {
			a.wrong("/plan", "Only the front of a cushion is looked for; plan one of its own for this cover.")
		}
		return p, err
	}
	p, _ := plan.Begin("cushion", a.sh.unit, a.sh.habits, plan.Cloth{Name: "fabric for the back"})
	p.Title = "From what there is"
	p.Object.Width, p.Object.Height = 16*length.Inch, 16*length.Inch // others are tried in its place
	if !in.Largest {
		p.Object.Width, p.Object.Height = a.size("/width", in.Width), a.size("/height", in.Height)
	}
	return p, nil
}

// free is a cloth of the cupboard with what of it is not kept for others.
func free(c plan.Cloth, id string) plan.Cloth {
	have, odd := stock.Free(c, stock.Holder{Plan: id})
	c.Have, c.Odd = have, nil
	for _, o := range odd {
		c.Odd = append(c.Odd, plan.OddPiece{Width: o.Width, Length: o.Length, Count: o.Count})
	}
	return c
}

// piece reads pieces of a bundle.
func (a *asked) piece(at string, b BecomePieces) plan.OddPiece {
	if b.Count < 1 || b.Count > mostAlike {
		a.wrong(at+"/count", fmt.Sprintf("Type how many pieces there are of each, from 1 to %d.", mostAlike))
	}
	if b.Fabrics < 1 || b.Fabrics > become.MostCloths {
		a.wrong(at+"/fabrics", fmt.Sprintf("Type how many fabrics they are, from 1 to %d.", become.MostCloths))
	}
	return plan.OddPiece{Width: a.size(at+"/width", b.Width), Length: a.size(at+"/length", b.Length), Count: b.Count}
}

// bundled is a cloth of a bundle, told from the others by how it is drawn.
func bundled(i int, o plan.OddPiece) plan.Cloth {
	grounds := []string{"#7f93a8", "#e3b98f", "#6f8a6d", "#d9cfba", "#8c6a63", "#b7a4c4", "#c9c27a", "#5f7f86"}
	motifs := []plan.Motif{"plain", "dot"}
	return plan.Cloth{Name: fmt.Sprintf("bundle %d", i+1), Odd: []plan.OddPiece{o},
		Swatch: plan.Swatch{Motif: motifs[i/len(grounds)%2], Ground: grounds[i%len(grounds)], Ink: "#3d3a35"}}
}
