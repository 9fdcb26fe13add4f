package reckon

import (
	"fmt"
	"math"
	"slices"

	"umschlag/core/answer"

	"umschlag/core/finding"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
	"umschlag/core/work"
)

// cutting is a shape on its way into the cutting list.
type cutting struct {
	// is what it is; its id is that, printed.
	is                                                        ref.About
	piece, id, part, title, layer, cloth, about, waits, shape string
	size                                                      sum.Size
	count                                                     int
	mayTurn                                                   bool
	// centred has its middle on a motif, selvedge an edge on a selvedge.
	centred, selvedge bool
	// late is cut when the front is measured; it stays so when it was measured, or the lay
	// would jump.
	late bool
	// laidOn marks a shape, or the web for one.
	laidOn bool
	// had marks a shape that is cut already and takes no cloth.
	had bool
	// gives is how many patches one piece gives, patches how many of them are needed,
	// and finished what one finishes as.
	gives, patches int
	finished       string
	// line is the outline of a template.
	line outline.Outline
	// path is the outline of a shape that is laid on, as SVG path data in millimetres, and
	// inset how far within the piece it lies; one that is fused is drawn mirrored.
	path  string
	inset length.Length
}

// need is what the lay has to know of a cut.
type need struct {
	cloth, title, about string
	item                lay.Item
}

// cut adds a shape to the list and returns its id.
func (r *run) cut(c cutting) string {
	c.id = c.is.Ref(ref.Cut).String()
	if c.layer == "" {
		c.layer = "outer"
	}
	c.size = r.asCut(c)
	w, h := c.size.Width.Total(), c.size.Height.Total()
	spoiled := r.p.Progress.Spoiled[c.id]
	_, ticked := r.p.Progress.Cut[c.id]
	total := c.count*r.p.Copies + spoiled
	shape := c.shape
	switch {
	case shape != "":
	case w == h:
		shape = "square"
	default:
		shape = "rectangle"
	}
	r.out.Cuts = append(r.out.Cuts, answer.Cut{ID: c.id, About: c.is, Piece: c.piece, Part: c.part, Title: c.title, Layer: c.layer, Cloth: c.cloth, Shape: shape,
		Width: r.l(w), Height: r.l(h), Count: c.count, Total: total, Gives: c.gives, Patches: c.patches, As: c.finished, Waits: c.waits, Centred: c.centred, Selvedge: c.selvedge, Spoiled: spoiled, Done: c.had || ticked})
	if c.line != nil {
		r.out.Cuts[len(r.out.Cuts)-1].Line = answer.Vertices(c.line)
	}
	if last := &r.out.Cuts[len(r.out.Cuts)-1]; c.path != "" {
		last.Path, last.Mirrored, last.Inset = c.path, c.inset > 0, int64(c.inset)
	}
	r.explain(c.id, c.size)
	if c.had {
		return c.id
	}
	r.cuts = append(r.cuts, work.Cut{ID: c.id, Piece: c.piece, Under: c.layer != "outer", Shape: c.laidOn})
	described, _ := r.p.Cloth(c.cloth)
	r.needs = append(r.needs, need{cloth: c.cloth, title: c.title, about: c.about, item: lay.Item{
		Cut: len(r.out.Cuts) - 1, Width: w, Height: h, Count: total, MayTurn: c.mayTurn && !c.centred && turns(described.Print), Centred: c.centred, Selvedge: c.selvedge, Late: c.late}})
	return c.id
}

// asCut is the size of a cut: one that is ticked off stays as it was cut, whatever was
// measured or changed since, and what that means is said.
func (r *run) asCut(c cutting) sum.Size {
	was := r.p.Progress.Cut[c.id]
	if was.Width == 0 || was.Height == 0 { // not ticked off, or nobody wrote it down
		return c.size
	}
	now := plan.Sized{Width: c.size.Width.Total(), Height: c.size.Height.Total()}
	if now == (plan.Sized{Width: was.Width, Height: was.Height}) {
		return c.size
	}
	text := r.style.Text
	r.find(finding.List{{Level: finding.Warn, Code: "cut-stays", About: c.about,
		Text:   fmt.Sprintf("%s is cut already, %s × %s; as things are it would be %s × %s.", c.title, text(was.Width), text(was.Height), text(now.Width), text(now.Height)),
		Remedy: "Where it is larger, trim it when it is sewn; where it is smaller, take the difference up at the next gate, or cut another one and untick this."}})
	return sum.Size{Width: sum.Of(sum.Measured, "as it was cut", was.Width), Height: sum.Of(sum.Measured, "as it was cut", was.Height)}
}

// strips adds a long strip to the list: in one, or joined from equal shorter ones
// where it is longer than its cloth is wide. Each join takes a seam from both its
// sides, 0 where edges are only butted. It returns the id and how many there are.
func (r *run) strips(may bool, seam length.Length, c cutting) (string, int) {
	cloth, _ := r.p.Cloth(c.cloth)
	whole, usable := c.size.Width.Total(), *cloth.Usable
	if !may || whole <= usable || usable <= 4*seam || c.had {
		return r.cut(c), 1
	}
	n := 2
	for each(whole, seam, n) > usable.Floor(r.p.Habits.Step) {
		n++
	}
	c.size.Width = sum.Of(sum.Part, fmt.Sprintf("a %s of %s", share[min(n, len(share)-1)], r.style.Text(whole)), whole.Div(n)).
		Plus(sum.Seam, "share of the seams between them", each(whole, seam, n)-whole.Div(n)).UpTo(r.p.Habits.Step)
	how, remedy := "joined", "Put the joins where they show least; a wider cloth needs fewer."
	if seam == 0 {
		how, remedy = "butted", "Zigzag the edges to each other, not over each other."
	}
	r.find(finding.List{{Level: finding.Note, Code: "strip-" + how, About: c.about, Remedy: remedy,
		Text: fmt.Sprintf("%s is %s long and %s has %s between its selvedges: it is %s from %d strips of %s.", c.title, r.style.Text(whole), cloth.Name, r.style.Text(usable), how, n, r.style.Text(c.size.Width.Total()))}})
	c.title = fmt.Sprintf("%s, %s from %d", c.title, how, n)
	c.count *= n
	return r.cut(c), n
}

// each is one of n strips that make up a whole with seams between them.
func each(whole, seam length.Length, n int) length.Length {
	return (whole + (2 * seam).Times(n-1)).Div(n)
}

// share names what one of n equal parts is.
var share = []string{"", "", "half", "third", "quarter", "fifth", "sixth", "part"}

// tone is how light a cloth is: the CIE lightness L* of its ground, as a share. Source:
// IEC 61966-2-1 (sRGB) and CIE 15, both from memory.
func (r *run) tone(letter string) (float64, bool) {
	c, _ := r.p.Cloth(letter)
	var rgb [3]int
	if n, err := fmt.Sscanf(c.Swatch.Ground, "#%02x%02x%02x", &rgb[0], &rgb[1], &rgb[2]); n != 3 || err != nil {
		return 0, false
	}
	linear := func(v int) float64 {
		s := float64(v) / 255
		if s <= 0.04045 {
			return s / 12.92
		}
		return math.Pow((s+0.055)/1.055, 2.4)
	}
	y := 0.2126*linear(rgb[0]) + 0.7152*linear(rgb[1]) + 0.0722*linear(rgb[2])
	if y <= 216.0/24389 {
		return y * 24389 / 27 / 100, true
	}
	return (116*math.Cbrt(y) - 16) / 100, true
}

// turns reports whether a print looks the same after a quarter turn.
func turns(p plan.Print) bool { return p == plan.PlainPrint || p == plan.AllOver }

// mostPieces is more than anyone lays out at once; it keeps a slip of the pen
// from becoming an hour's computation.
const mostPieces = 20_000

// cloths lays every cloth out.
func (r *run) cloths() {
	pieces := 0
	for _, n := range r.needs {
		pieces += n.item.Count
	}
	if pieces > mostPieces {
		r.find(finding.List{{Level: finding.Stop, Code: "too-many-pieces", About: "/copies",
			Text: fmt.Sprintf("That would be %d pieces to cut.", pieces), Remedy: fmt.Sprintf("Plan up to %d pieces at once: fewer copies, or larger patches.", mostPieces)}})
		return
	}
	letters := []string{}
	items := map[string][]lay.Item{}
	for _, n := range r.needs {
		if _, seen := items[n.cloth]; !seen {
			letters = append(letters, n.cloth)
		}
		items[n.cloth] = append(items[n.cloth], n.item)
	}
	r.judgeCentred()
	slices.Sort(letters)
	for _, letter := range letters {
		r.cloth(letter, items[letter])
	}
	r.grain()
}

// grain says of every piece of one cloth how it lies on it.
func (r *run) grain() {
	turned := map[string]bool{}
	for _, c := range r.out.Cloths {
		for _, p := range c.Lay.Placed {
			turned[r.out.Cuts[p.Cut].ID] = p.Turned
		}
	}
	for i, p := range r.out.Pieces {
		if len(p.Cells) == 0 || p.Cells[0].Row > 0 || p.Cells[0].Cut != p.Cells[len(p.Cells)-1].Cut {
			continue
		}
		cloth, _ := r.p.Cloth(p.Cells[0].Cloth)
		switch {
		case turned[p.Cells[0].Cut]:
			r.out.Pieces[i].Grain = "across"
		case cloth.Print == plan.OneWay:
			r.out.Pieces[i].Grain = "one-way"
		default:
			r.out.Pieces[i].Grain = "up"
		}
	}
}
