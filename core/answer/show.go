package answer

import (
	"fmt"
	"math"
	"strings"

	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/outline"
)

// Show is a length as a style writes it.
func Show(l length.Length, s length.Style) L {
	return L{NM: int64(l), Text: s.Text(l), Exact: s.Plain(l)}
}

// Vertices is an outline as it is told, to the nanometre.
func Vertices(o outline.Outline) []Vertex {
	out := make([]Vertex, len(o))
	for i, v := range o {
		out[i] = Vertex{X: int64(math.Round(v.X)), Y: int64(math.Round(v.Y)), Bulge: v.Bulge}
	}
	return out
}

// ShowLay is a lay as a style writes its lengths.
func ShowLay(l lay.Lay, style length.Style) Lay {
	show := func(l length.Length) L { return Show(l, style) }
	out := Lay{Width: show(l.Width), Length: show(l.Length), Bound: show(l.Bound), Limit: string(l.Limit),
		Certain: l.Certain, Placed: []Placed{}, Strips: []Strip{}}
	for _, p := range l.Placed {
		out.Placed = append(out.Placed,
			Placed{Cut: p.Cut, X: show(p.X), Y: show(p.Y), Width: show(p.Width), Height: show(p.Height),
				Room: Rect{X: show(p.Room.X), Y: show(p.Room.Y), Width: show(p.Room.Width),
					Height: show(p.Room.Height)},
				Turned: p.Turned, Strip: p.Strip, Column: p.Column})
	}
	for _, s := range l.Strips {
		out.Strips = append(out.Strips, Strip{Y: show(s.Y), Height: show(s.Height)})
	}
	return out
}

// WrittenSum writes a sum out, alike terms that follow each other as one.
func WrittenSum(terms []Term) string {
	var words []string
	for i := 0; i < len(terms); {
		t, n := terms[i], 1
		for i+n < len(terms) && terms[i+n].Again {
			n++
		}
		text := strings.Replace(t.Amount.Text, "−", "", 1) // which ≈ may stand before
		if n > 1 {
			text = fmt.Sprintf("%d × %s", n, text)
		}
		switch {
		case t.Amount.NM < 0:
			text = "− " + text
		case i > 0:
			text = "+ " + text
		}
		words = append(words, text+" "+t.Term)
		i += n
	}
	return strings.Join(words, " ")
}

// alike reports whether two terms are one thing twice: what dividing leaves over, which the last
// of several parts takes, makes no difference.
func alike(a, b Term) bool {
	off := a.Amount.NM - b.Amount.NM
	return a.Term == b.Term && a.Amount.Text == b.Amount.Text && max(off, -off) <= int64(length.Hair)
}
