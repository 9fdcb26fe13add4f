package web

import (
	"fmt"
	"io"
	"net/http"
	"regexp"
	"strings"

	"umschlag/core/answer"

	"github.com/labstack/echo/v5"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/format/drawing"
	"umschlag/format/dxf"
	"umschlag/format/hpgl"
	"umschlag/format/svgfile"
)

// drawn is how drawings are written, by the ending of their files, and whether one file takes
// several of them.
var drawn = map[string]struct {
	kind    string
	several bool
	write   func([]drawing.Drawing) []byte
}{
	"svg": {"image/svg+xml", false, func(d []drawing.Drawing) []byte { return svgfile.Draw(d[0]) }},
	"dxf": {"image/vnd.dxf", true, dxf.Write},
	"plt": {"application/vnd.hp-HPGL", false, func(d []drawing.Drawing) []byte { return hpgl.Write(d[0]) }},
}

// drawing answers with a drawing as a file: ?of= one piece, template or lay by its name;
// ?as= its kind. The pieces together are one file where the kind takes several drawings.
func (s *server) drawing(c *echo.Context) error {
	stored, view, _, err := s.cuttable(c)
	if err != nil {
		return err
	}
	as, known := drawn[c.QueryParam("as")]
	if !known {
		return echo.NewHTTPError(http.StatusBadRequest,
			"A drawing is an svg, a dxf or a plt: say which with as=svg, for instance.")
	}
	of := c.QueryParam("of")
	list, err := drawings(view.Reckoning, swatchesIn([]byte(stored.Doc)), c.Param("sort"), of)
	if err != nil {
		return err
	}
	if len(list) == 0 {
		return echo.NewHTTPError(http.StatusNotFound,
			"There is nothing of that name to be drawn; it may be called otherwise since the plan was changed.")
	}
	if len(list) > 1 && !as.several {
		return echo.NewHTTPError(http.StatusBadRequest,
			"An svg or a plt holds one drawing: ask for one piece by its name, or for the pieces together with as=dxf.")
	}
	if c.Param("sort") == "template" {
		of = list[0].Title // its ref says nothing to people
	}
	name := strings.ToLower(strings.Trim(plainName.ReplaceAllString(strings.Join([]string{stored.ID, of}, "-"), "-"),
		"-"))
	c.Response().Header().Set("Content-Disposition",
		fmt.Sprintf("attachment; filename=%q", name+"."+c.QueryParam("as")))
	return c.Blob(http.StatusOK, as.kind, as.write(list))
}

// plainName is what does not stand in the name of a file.
var plainName = regexp.MustCompile(`[^A-Za-z0-9]+`)

// drawings are those of a sort: piece, pieces, template or lay.
func drawings(r answer.Reckoning, swatches map[string]plan.Swatch, sort, of string) ([]drawing.Drawing, error) {
	var out []drawing.Drawing
	add := func(d drawing.Drawing, err error) error {
		out = append(out, d)
		return err
	}
	switch sort {
	case "piece", "pieces":
		for _, p := range r.Pieces {
			if sort == "pieces" || p.Name == of {
				if err := add(drawing.Piece(r, p, swatches)); err != nil {
					return nil, err
				}
			}
		}
	case "template":
		for _, cut := range r.Cuts {
			if cut.ID == of {
				if err := add(drawing.Template(cut)); err != nil {
					return nil, err
				}
			}
		}
	case "lay":
		for _, n := range r.Cloths {
			if n.Cloth == of {
				out = append(out, drawing.Lay(n.Name, n.Lay))
			}
		}
	}
	return out, nil
}

// PatternView is a pattern beside the pieces of a plan.
type PatternView struct {
	Pieces []PatternPiece `json:"pieces"`
	// Omitted is what could not be read, each kind with how many.
	Omitted []string `json:"omitted"`
}

// PatternPiece is a piece of a plan beside that of a pattern.
type PatternPiece struct {
	Title string `json:"title"`
	// Missing tells that the pattern has none of that name, Unknown that the plan has none.
	Missing bool `json:"missing,omitempty"`
	Unknown bool `json:"unknown,omitempty"`
	// Off is what differs, each in a sentence.
	Off []string `json:"off"`
}

// pattern holds the pieces of a DXF pattern against those of a plan. Nothing is kept of it.
func (s *server) pattern(c *echo.Context) error {
	_, view, p, err := s.lookedInto(c)
	if err != nil {
		return err
	}
	data, err := io.ReadAll(c.Request().Body)
	if err != nil {
		return err
	}
	read, omitted, err := dxf.Pieces(data)
	if err != nil {
		return err
	}
	own, err := drawings(view.Reckoning, nil, "pieces", "")
	if err != nil {
		return err
	}
	style := p.Style()
	out := PatternView{Pieces: []PatternPiece{}, Omitted: append([]string{}, omitted...)}
	for _, piece := range drawing.Compare(own, read,
		func(mm float64) string { return style.Text(length.FromFloat(mm * length.Millimetre.Float())) }) {
		out.Pieces = append(out.Pieces,
			PatternPiece{Title: piece.Title, Missing: piece.Missing, Unknown: piece.Unknown,
				Off: append([]string{}, piece.Off...)})
	}
	return c.JSON(http.StatusOK, out)
}
