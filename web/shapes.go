package web

import (
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"net/http"
	"slices"
	"strings"

	"umschlag/core/answer"
	"umschlag/core/move"

	"github.com/labstack/echo/v5"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/shape"
	"umschlag/format/drawing"
	"umschlag/format/dxf"
	"umschlag/format/planfile"
	"umschlag/format/svgfile"
)

// FormView is a form that shapes are cut from.
type FormView struct {
	Name  string `json:"name"`
	Title string `json:"title"`
	// Path is its outline as SVG path data, and Box the rectangle round it: left, top,
	// width, height.
	Path string     `json:"path"`
	Box  [4]float64 `json:"box"`
}

// ShapesView is what was read from a drawing.
type ShapesView struct {
	// Shapes in the notation of plan files, the lowest first; all are placed from
	// the largest.
	Shapes []json.RawMessage `json:"shapes"`
	// Fills are their colours as #rrggbb; empty where none is named.
	Fills []string `json:"fills"`
	// Omitted is what was left out.
	Omitted []string `json:"omitted"`
	Width   answer.L `json:"width"`
	Height  answer.L `json:"height"`
}

// MoveShape asks where a shape stands when it is brought to a place.
type MoveShape struct {
	Moving
	// About is the shape's path in the plan.
	About string `json:"about"`
}

func forms() []FormView {
	out := make([]FormView, 0, len(shape.Forms))
	for _, f := range shape.Forms {
		p, _ := shape.FormNamed(f.Name)
		b := p.Box()
		out = append(out, FormView{Name: f.Name, Title: f.Title, Path: p.Text(),
			Box: [4]float64{b.X1, b.Y1, b.Width(), b.Height()}})
	}
	return out
}

// readShapes answers an SVG or DXF file with the shapes in it. Nothing is kept.
func (s *server) readShapes(c *echo.Context) error {
	unit := length.Unit(c.QueryParam("units"))
	if !slices.Contains(length.Units(), unit) {
		return planfile.Problems{{Path: "/units", Text: "Type one of in, cm, mm."}}
	}
	data, err := io.ReadAll(c.Request().Body)
	if err != nil {
		return err
	}
	read := dxf.Read
	if text := bytes.TrimSpace(bytes.TrimPrefix(data, []byte("\ufeff"))); bytes.HasPrefix(text, []byte("<")) {
		read = svgfile.Read
	}
	d, err := read(data)
	if err != nil {
		return err
	}
	view, err := shapesView(d, unit)
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, view)
}

// shapesView makes shapes of a plan from a drawing: the largest in the middle, the others
// placed from it, so that the drawing moves as one.
func shapesView(d drawing.Found, unit length.Unit) (ShapesView, error) {
	out := ShapesView{Omitted: append([]string{}, d.Omitted...)}
	largest, first, all := 0, shape.Box{}, d.Outlines[0].Path.Box()
	for i, o := range d.Outlines {
		b := o.Path.Box()
		if b.Width()*b.Height() > first.Width()*first.Height() {
			largest, first = i, b
		}
	}
	base := freshKey()
	for i, o := range d.Outlines {
		b := o.Path.Box()
		all = shape.Box{X1: min(all.X1, b.X1), Y1: min(all.Y1, b.Y1), X2: max(all.X2, b.X2), Y2: max(all.Y2, b.Y2)}
		one := plan.Shape{Shape: o.Path.Text(), Width: millimetres(b.Width()), Name: o.Name, At: plan.At{Middle: true}}
		if one.Width < length.Millimetre { // an upright line has no width to be scaled by
			one.Width, one.Height = 0, max(millimetres(b.Height()), length.Millimetre)
		}
		if o.Line {
			one.Edge = plan.DrawnLine
		}
		if i == largest {
			one.Key = base
		} else {
			left, top := millimetres(b.X1-first.X1), millimetres(b.Y1-first.Y1)
			one.From, one.At = base, plan.At{Left: &left, Top: &top}
		}
		doc, err := json.Marshal(planfile.Part(one, unit))
		if err != nil {
			return ShapesView{}, err
		}
		out.Shapes, out.Fills = append(out.Shapes, doc), append(out.Fills, o.Fill)
	}
	style := length.Style{Unit: unit}
	out.Width, out.Height = answer.Show(millimetres(all.Width()), style), answer.Show(millimetres(all.Height()), style)
	return out, nil
}

// millimetres of a drawing as a length, to a hundredth.
func millimetres(mm float64) length.Length {
	return (length.FromFloat(mm*1e6) + 5000).Floor(10_000)
}

// moveShape answers where a shape stands when it is brought to a place.
func (s *server) moveShape(c *echo.Context) error {
	var in MoveShape
	if err := decode(c, &in); err != nil {
		return err
	}
	return in.send(c, in.About, "shape", func(p plan.Plan, x, y length.Length) (plan.At, bool) {
		return move.Shape(p, in.About, x, y)
	})
}

// shapesFile answers with the shapes of a piece of a stored plan as an SVG file at true
// size: as they lie, or with ?as=templates side by side and mirrored where they are fused.
func (s *server) shapesFile(c *echo.Context) error {
	stored, view, _, err := s.cuttable(c)
	if err != nil {
		return err
	}
	swatches := swatchesIn([]byte(stored.Doc))
	for _, piece := range view.Reckoning.Pieces {
		if piece.Name != c.Param("piece") || len(piece.Shapes) == 0 {
			continue
		}
		title := fmt.Sprintf("%s, %s", stored.Title, strings.ToLower(piece.Title))
		data, err := shapesOf(title, piece, view.Reckoning.Cuts, swatches, c.QueryParam("as") == "templates")
		if err != nil {
			return err
		}
		c.Response().Header().Set("Content-Disposition", `attachment; filename="shapes.svg"`)
		return c.Blob(http.StatusOK, "image/svg+xml", data)
	}
	return echo.NewHTTPError(http.StatusNotFound, "This piece has no shapes laid on it.")
}

// page is how wide templates are laid side by side, and apart how far from each other, in
// millimetres.
const (
	page  = 600
	apart = 10
)

func shapesOf(title string, piece answer.Piece, cuts []answer.Cut, swatches map[string]plan.Swatch,
	templates bool) ([]byte, error) {
	var list []drawing.Outline
	add := func(name, path, cloth string, line bool) error {
		p, err := shape.Parse(path)
		list = append(list, drawing.Outline{Name: name, Path: p, Fill: swatches[cloth].Ground, Line: line})
		return err
	}
	if !templates {
		for _, sh := range piece.Shapes {
			if err := add(sh.Title, sh.Path, sh.Cloth, sh.Line); err != nil {
				return nil, err
			}
		}
		return svgfile.Write(title, float64(piece.Finished.Width.NM)/1e6, float64(piece.Finished.Height.NM)/1e6,
			list), nil
	}
	for _, cut := range cuts {
		if cut.Piece != piece.Name || cut.Path == "" {
			continue
		}
		name := cut.Title
		if cut.Count > 1 {
			name = fmt.Sprintf("%s, %d ×", cut.Title, cut.Count)
		}
		if err := add(name, cut.Path, cut.Cloth, false); err != nil {
			return nil, err
		}
	}
	row, width, height := svgfile.Row(list, apart, page)
	return svgfile.Write(title+", templates", width, height, row), nil
}
