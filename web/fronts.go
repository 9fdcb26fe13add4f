package web

import (
	"encoding/json"
	"errors"
	"fmt"
	"net/http"

	"github.com/labstack/echo/v5"

	"umschlag/core/begin"
	"umschlag/core/block"
	"umschlag/core/gridfit"
	"umschlag/core/length"
	"umschlag/format/planfile"
)

// BlockView is a block with its patches drawn in a square of 1.
type BlockView struct {
	// Name and Title of one of the library; empty for one of one's own.
	Name    string      `json:"name"`
	Title   string      `json:"title"`
	Text    string      `json:"text"`
	Letters []string    `json:"letters"`
	Patches []PatchView `json:"patches"`
}

// PatchView is one patch of a block.
type PatchView struct {
	// Path to it through the divisions.
	Path     string `json:"path"`
	Letter   string `json:"letter"`
	Triangle bool   `json:"triangle"`
	// Share of its columns or rows; 0 where it stands in none.
	Share int          `json:"share"`
	Line  [][2]float64 `json:"line"`
}

// EditBlock asks for a block after a change; without one for the block as it is
// written.
type EditBlock struct {
	Text string `json:"text"`
	// Change is divide, letter, join or share; empty for none.
	Change string `json:"change,omitempty"`
	// Path of the patch that is changed.
	Path string `json:"path,omitempty"`
	// Sign it is divided by, and into how many columns or rows.
	Sign  string `json:"sign,omitempty"`
	Count int    `json:"count,omitempty"`
	// Letter it gets, or the new parts of a division get.
	Letter string `json:"letter,omitempty"`
}

// FindLayouts asks for the grids that fill a piece.
type FindLayouts struct {
	Plan json.RawMessage `json:"plan"`
	// Piece is the name under which the plan decides it.
	Piece string `json:"piece"`
	// Least, Most, Ready and Sash as typed; empty for no wish.
	Least string `json:"least,omitempty"`
	Most  string `json:"most,omitempty"`
	Ready string `json:"ready,omitempty"`
	Sash  string `json:"sash,omitempty"`
	// Border: any, none or yes.
	Border string `json:"border,omitempty"`
}

// LayoutView is a grid that fills a piece.
type LayoutView struct {
	Columns    int      `json:"columns"`
	Rows       int      `json:"rows"`
	Patch      string   `json:"patch"`
	Border     string   `json:"border"`
	Sash       string   `json:"sash"`
	Reasons    []string `json:"reasons"`
	Cloth      float64  `json:"cloth"`
	PatchSize  [2]int64 `json:"patch_size"`
	SashSize   int64    `json:"sash_size"`
	BorderSize [2]int64 `json:"border_size"`
	// Face in the notation of plan files.
	Face json.RawMessage `json:"face"`
}

// blockView draws a block.
func blockView(text string) (BlockView, error) {
	n, err := block.Parse(text)
	if err != nil {
		return BlockView{}, err
	}
	return viewOf(n)
}

func viewOf(n block.Node) (BlockView, error) {
	leaves, err := n.LeavesAt(1)
	if err != nil {
		return BlockView{}, err
	}
	out := BlockView{Text: n.String(), Letters: n.Letters()}
	for _, leaf := range leaves {
		p := PatchView{Path: leaf.Path, Letter: leaf.Letter, Triangle: leaf.Triangle, Share: leaf.Share}
		for _, v := range leaf.Line {
			p.Line = append(p.Line, [2]float64{v.X, v.Y})
		}
		out.Patches = append(out.Patches, p)
	}
	return out, nil
}

// block answers a block after a change.
func (s *server) block(c *echo.Context) error {
	var in EditBlock
	if err := decode(c, &in); err != nil {
		return err
	}
	n, err := block.Parse(in.Text)
	if err == nil {
		n, err = changed(n, in)
	}
	var view BlockView
	if err == nil {
		view, err = viewOf(n)
	}
	var syntax *block.SyntaxError
	var division *block.DivisionError
	switch {
	case errors.As(err, &syntax) && in.Change == "":
		return planfile.Problems{{Path: "/text", Text: syntax.Error()}}
	case errors.As(err, &syntax):
		return planfile.Problems{{Path: "/path", Text: syntax.Text}}
	case errors.As(err, &division):
		return planfile.Problems{{Path: "/text", Text: division.Text}}
	case err != nil:
		return err
	}
	return c.JSON(http.StatusOK, view)
}

func changed(n block.Node, in EditBlock) (block.Node, error) {
	switch in.Change {
	case "":
		return n, nil
	case "divide":
		sign := block.Sign(0)
		for _, r := range in.Sign {
			sign = block.Sign(r)
		}
		return n.Divided(in.Path, sign, in.Count, in.Letter)
	case "letter":
		return n.Lettered(in.Path, in.Letter)
	case "join":
		return n.Joined(in.Path)
	case "share":
		return n.Weighted(in.Path, in.Count)
	}
	return n, planfile.Problems{{Path: "/change", Text: "Type divide, letter, join or share."}}
}

// layouts answers the grids that fill a piece of a plan.
func (s *server) layouts(c *echo.Context) error {
	var in FindLayouts
	if err := decode(c, &in); err != nil {
		return err
	}
	p, err := planfile.Read(in.Plan)
	if err != nil {
		return err
	}
	limits := begin.Limits{Border: gridfit.Borders(in.Border)}
	if in.Border == "" {
		limits.Border = gridfit.AnyBorder
	}
	var problems planfile.Problems
	for _, size := range []struct {
		key, text string
		to        *length.Length
	}{{"least", in.Least, &limits.Least}, {"most", in.Most, &limits.Most}, {"ready", in.Ready, &limits.Ready},
		{"sash", in.Sash, &limits.Sash}} {
		if size.text == "" {
			continue
		}
		l, err := length.Parse(size.text, p.Units)
		if err != nil {
			problems = append(problems, planfile.Problem{Path: "/" + size.key, Text: err.Error()})
			continue
		}
		*size.to = l
	}
	for _, f := range limits.Validate() {
		problems = append(problems, planfile.Problem{Path: f.About, Text: f.Remedy})
	}
	if len(problems) > 0 {
		return problems
	}
	list, ok := begin.Layouts(p, in.Piece, limits)
	if !ok {
		return planfile.Problems{{Path: "/piece",
			Text: fmt.Sprintf("The piece %q cannot be worked out yet: put right what the brief says first.", in.Piece)}}
	}
	style := p.Style()
	text := func(l length.Length) string {
		if l == 0 {
			return ""
		}
		return style.Text(l)
	}
	out := make([]LayoutView, len(list))
	for i, l := range list {
		face, err := json.Marshal(planfile.Part(l.Face, p.Units))
		if err != nil {
			return err
		}
		out[i] = LayoutView{Columns: l.Columns, Rows: l.Rows, Patch: text(l.PatchWidth), Border: text(l.Border),
			Sash: text(l.Sash), Reasons: l.Reasons, Cloth: l.Cloth,
			PatchSize: [2]int64{int64(l.PatchWidth), int64(l.PatchHeight)}, SashSize: int64(l.Sash),
			BorderSize: [2]int64{int64(l.Border), int64(l.BorderDown)}, Face: face}
		if l.PatchWidth != l.PatchHeight {
			out[i].Patch = text(l.PatchWidth) + " × " + text(l.PatchHeight)
		}
	}
	return c.JSON(http.StatusOK, out)
}
