package web

import (
	"context"
	"net/http"
	"slices"

	"umschlag/core/answer"

	"github.com/labstack/echo/v5"

	"umschlag/core/length"
	"umschlag/core/practice"
	"umschlag/core/reckon"
	"umschlag/core/sum"
	"umschlag/format/planfile"
	"umschlag/store"
)

// PracticeView is an exercise, and how far the maker is with each kind.
type PracticeView struct {
	Kind     string         `json:"kind"`
	Number   int            `json:"number"`
	Plan     string         `json:"plan"`
	Question string         `json:"question"`
	Kinds    []PracticeKind `json:"kinds"`
	// Mark is where the tape is read, in nanometres, and Step from line to line of it; 0
	// where no tape is shown.
	Mark int64 `json:"mark"`
	Step int64 `json:"step"`
}

// PracticeKind is a kind of exercise with how many were tried and how many were right.
type PracticeKind struct {
	Kind  string `json:"kind"`
	Title string `json:"title"`
	Tried int    `json:"tried"`
	Right int    `json:"right"`
	Run   int    `json:"run"`
}

// AnswerPractice is an answer to an exercise.
type AnswerPractice struct {
	Kind   string `json:"kind"`
	Number int    `json:"number"`
	Plan   string `json:"plan,omitempty"`
	Answer string `json:"answer"`
}

// PracticeResult says whether an answer is right, and how the right one comes about.
type PracticeResult struct {
	Right  bool          `json:"right"`
	Answer answer.L      `json:"answer"`
	Sum    []answer.Term `json:"sum"`
	// Slip says what was forgotten, where that is known.
	Slip string `json:"slip"`
}

// exercise finds an exercise again: made up, or on the cuts of a plan.
func (s *server) exercise(ctx context.Context, sh shop, kind string, number int, planID string) (practice.Exercise,
	length.Style, error) {
	style := sh.style()
	if planID == "" {
		e, ok := practice.Of(practice.Kind(kind), number, style)
		if !ok {
			return e, style, store.ErrNotFound
		}
		return e, style, nil
	}
	stored, err := s.store.Plan(ctx, planID)
	if err != nil {
		return practice.Exercise{}, style, err
	}
	p, err := planfile.Read([]byte(stored.Doc))
	if err != nil {
		return practice.Exercise{}, style, err
	}
	style = p.Settle().Style()
	r := reckon.Reckon(p, nil)
	for i := range r.Cuts {
		c := r.Cuts[(i+number)%len(r.Cuts)]
		if e, ok := practice.Own(stored.Title, c.Title, sumOf(r.Sums[c.ID+".width"]), style); ok {
			return e, style, nil
		}
	}
	return practice.Exercise{}, style, store.ErrNotFound
}

// sumOf is a sum that was written down.
func sumOf(terms []answer.Term) sum.Sum {
	var out sum.Sum
	for _, t := range terms {
		out = append(out, sum.Term{Name: t.Term, Amount: length.Length(t.Amount.NM), Kind: sum.Kind(t.Kind)})
	}
	return out
}

func (s *server) practice(c *echo.Context) error {
	ctx := c.Request().Context()
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	kind := c.QueryParam("kind")
	number, err := echo.QueryParamOr(c, "number", 0)
	if err != nil {
		return store.ErrNotFound
	}
	number = max(0, number)
	e, style, err := s.exercise(ctx, sh, kind, number, c.QueryParam("plan"))
	if err != nil {
		return err
	}
	v := PracticeView{Kind: string(e.Kind), Number: number, Plan: c.QueryParam("plan"), Question: e.Question,
		Mark: int64(e.Mark)}
	if e.Mark > 0 {
		v.Step = int64(length.Inch / 8)
		if style.Unit != length.Inches {
			v.Step = int64(length.Millimetre)
		}
	}
	done, err := s.store.Practice(ctx)
	if err != nil {
		return err
	}
	for _, k := range practice.Kinds() {
		one := PracticeKind{Kind: string(k.Kind), Title: k.Title}
		if i := slices.IndexFunc(done, func(p store.Practised) bool { return p.Kind == one.Kind }); i >= 0 {
			one.Tried, one.Right, one.Run = done[i].Tried, done[i].Hit, done[i].Run
		}
		v.Kinds = append(v.Kinds, one)
	}
	return c.JSON(http.StatusOK, v)
}

func (s *server) answerPractice(c *echo.Context) error {
	ctx := c.Request().Context()
	var in AnswerPractice
	if err := decode(c, &in); err != nil {
		return err
	}
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	e, style, err := s.exercise(ctx, sh, in.Kind, max(0, in.Number), in.Plan)
	if err != nil {
		return err
	}
	typed, err := length.Parse(in.Answer, style.Unit)
	if err != nil {
		return planfile.Problems{{Path: "/answer", Text: err.Error()}}
	}
	out := PracticeResult{Right: e.Right(typed), Answer: answer.Show(e.Answer.Total(), style)}
	out.Sum = answer.TermsOf(e.Answer, style)
	if !out.Right {
		out.Slip = e.Slip(typed)
	}
	if err := s.store.Practise(ctx, string(e.Kind), out.Right); err != nil {
		return err
	}
	return c.JSON(http.StatusOK, out)
}
