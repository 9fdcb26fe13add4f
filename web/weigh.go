package web

import (
	"net/http"
	"strconv"
	"strings"

	"github.com/labstack/echo/v5"

	"umschlag/core/length"
	"umschlag/core/stock"
	"umschlag/format/planfile"
)

// WeighCloth asks how long a piece of cloth is by its weight: all as typed.
type WeighCloth struct {
	// Side of a square of the cloth, and what it weighs, in grams.
	Side   string `json:"side"`
	Square string `json:"square"`
	// Piece is what the piece weighs, in grams, and Width how wide it is.
	Piece string `json:"piece"`
	Width string `json:"width"`
}

// WeighedCloth is how long a piece is.
type WeighedCloth struct {
	// Text as it would be typed, and Says the sum.
	Text string `json:"text"`
	Says string `json:"says"`
}

// weigh answers how long a piece of cloth is by its weight.
func (s *server) weigh(c *echo.Context) error {
	var in WeighCloth
	if err := decode(c, &in); err != nil {
		return err
	}
	sh, err := s.shop(c.Request().Context())
	if err != nil {
		return err
	}
	var problems planfile.Problems
	size := func(path, text string) length.Length {
		l, err := length.Parse(text, sh.unit)
		if err != nil {
			problems = append(problems, planfile.Problem{Path: path, Text: err.Error()})
		}
		return l
	}
	w := stock.Weighed{Side: size("/side", in.Side), Width: size("/width", in.Width), Square: typedGrams(in.Square),
		Piece: typedGrams(in.Piece)}
	if len(problems) > 0 {
		return problems
	}
	style := length.Style{Unit: sh.unit}
	long, says, found := w.Told(sh.habits.Step, style)
	for _, f := range found {
		problems = append(problems, planfile.Problem{Path: f.About, Text: f.Text + " " + f.Remedy})
	}
	if len(problems) > 0 {
		return problems
	}
	return c.JSON(http.StatusOK, WeighedCloth{Text: style.Plain(long), Says: says})
}

// typedGrams are grams as typed, with or without their sign; 0 for what is no number.
func typedGrams(text string) float64 {
	text = strings.TrimSpace(strings.TrimSuffix(strings.TrimSpace(text), "g"))
	g, err := strconv.ParseFloat(strings.Replace(text, ",", ".", 1), 64)
	if err != nil {
		return 0
	}
	return g
}
