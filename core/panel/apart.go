package panel

import (
	"fmt"
	"strings"

	"umschlag/core/finding"
	"umschlag/core/plan"
)

// sewnAfter finds what keeps borders from being sewn on when what lies inside them is quilted, and what is decided of
// their quilting and not read.
func (o Order) sewnAfter(p Panel) finding.List {
	var found finding.List
	q := p.Decided.Quilting
	if q == nil || q.Borders == nil {
		return nil
	}
	at, name := o.quilting(p), strings.ToLower(p.Piece.Title)
	switch {
	case p.Chain.Apart == nil:
		found.Add(finding.Note, "borders-none", at+"/borders",
			fmt.Sprintf("How borders are quilted changes nothing on the %s: it has none round all of it.", name),
			"Quilt the borders as what lies inside them.")
	case q.Borders.After && !q.Inside():
		found.Add(finding.Note, "borders-after", at+"/borders/after",
			fmt.Sprintf("Nothing is quilted inside the borders of the %s, so they are sewn on before it is layered.",
				name), "Choose how it is quilted inside its borders, or sew them on first.")
	}
	if !p.Chain.BordersAfter() {
		return found
	}
	for i, b := range p.Decided.Face.Borders {
		if b.Corner.Rules().Whole {
			found.Add(finding.Stop, "borders-after-mitred", fmt.Sprintf("%s/face/borders/%d/corner", p.Path, i),
				"A border that is sewn on and turned back when the centre is quilted cannot meet in mitred corners.",
				"Let it meet butted or with corner squares, or sew it on before it is quilted.")
		}
	}
	w, h := p.Face.Finished.Width.Total(), p.Face.Finished.Height.Total()
	for _, s := range p.Face.Applied {
		b := p.Face.Border
		if !s.Line() && (s.X < b[0] || s.Y < b[1] || s.X+s.Width > w-b[0] || s.Y+s.Height > h-b[1]) {
			found.Add(finding.Warn, "shape-over-border", s.About,
				fmt.Sprintf("“%s” reaches over the border, which is sewn on when the centre is quilted.", s.Title),
				"Move it inside the border, or sew the borders on before it is quilted.")
		}
	}
	return found
}

// quilting is where the plan decides how a piece is quilted.
func (o Order) quilting(p Panel) string {
	return finding.Path("pieces", plan.Keeper(o.Plan, p.Piece.Config,
		func(q plan.Piece) bool { return q.Quilting != nil }), "quilting")
}

// follows is what quilting goes by that a face may not have, in words.
var follows = []struct {
	asked func(plan.Quilting) bool
	what  string
}{
	{func(q plan.Quilting) bool { return q.Corners }, "patches to be quilted through"},
	{func(q plan.Quilting) bool { return q.Around > 0 }, "shapes to be quilted around"},
	{func(q plan.Quilting) bool { return q.Ditch }, "seams to be quilted in the ditch of"},
}

// unquilted notes quilting that goes by what a face has not, where nothing else is quilted on it.
func (o Order) unquilted(p Panel) finding.List {
	q := p.Decided.Quilting
	if !p.Decided.Quilted() || len(p.Pattern.Lines)+len(p.Borders.Lines) > 0 {
		return nil
	}
	var found finding.List
	for _, f := range follows {
		if f.asked(*q) {
			name := strings.ToLower(p.Piece.Title)
			found.Add(finding.Note, "quilting-nothing", o.quilting(p),
				fmt.Sprintf("The %s has no %s: nothing of it is quilted.", name, f.what),
				"Choose another pattern, or leave it unquilted.")
			return found
		}
	}
	return found
}
