package cutting

import (
	"strings"

	"umschlag/core/applique"
	"umschlag/core/back"
	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/fitting"
	"umschlag/core/lay"
	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sample"
	"umschlag/core/sum"
)

// Stack is what lies under a panel.
type Stack struct {
	Piece string
	// Edge tells the two pieces of a back apart.
	Edge  string
	Chain layers.Chain
	// Most is the chain of the largest it may be asked for in, where it is cut late.
	Most      layers.Chain
	Count     int
	At, Waits string
	// Late is when it is cut.
	Late When
	// Strip allows it to be joined from shorter ones.
	Strip bool
}

// Under adds the batting, the lining and what is ironed on of a panel.
func (l *List) Under(u Stack) {
	c, step := u.Chain, l.Plan.Habits.Step
	cut := func(role ref.Role, layer, cloth, title, at string, of func(layers.Chain) sum.Size) Cut {
		out := Cut{About: ref.About{Piece: u.Piece, Role: role, Edge: u.Edge}, Piece: u.Piece, Part: string(role),
			Title: title, Layer: layer, Cloth: cloth,
			Size: of(c), Count: u.Count, MayTurn: true, At: u.At + "/layers/" + at, Waits: u.Waits, Late: u.Late}
		if u.Late != Now {
			out.Keep = l.Most(of(u.Most), 0)
		}
		return out
	}
	ground := func(c layers.Chain) sum.Size { return c.Ground().UpTo(step) }
	if c.Batting != nil {
		batting := cut(ref.Batting, Batting, c.Batting.Cloth, "Batting", "batting",
			func(c layers.Chain) sum.Size { return c.Padding })
		batting.Count *= c.Batting.Count
		if c.Batting.Offcuts { // there already, and butted together
			batting.Title, batting.Had = "Batting, from offcuts", true
		}
		l.Strips(u.Strip, 0, batting)
	}
	if c.Lining != "" {
		lining := cut(ref.Lining, Lining, c.Lining, "Lining", "lining",
			func(c layers.Chain) sum.Size { return c.Under })
		l.Strips(u.Strip, l.Plan.Cover.Seam, lining)
	}
	if c.Stiffener != "" {
		l.Add(cut(ref.Stiffener, Interfacing, c.Stiffener, "Stiffener", "stiffener",
			func(c layers.Chain) sum.Size { return c.Trimmed.Each(l.withoutSeams).UpTo(step) }))
	}
	if c.Web {
		l.Add(cut(ref.Web, Web, plan.WebCloth, "Fusible web", "web", ground))
	}
	if c.Grid {
		l.Add(cut(ref.Grid, Interfacing, plan.GridCloth, "Fusible grid", "grid", ground))
	}
}

// withoutSeams is a size less the seams at both its ends.
func (l *List) withoutSeams(s sum.Sum) sum.Sum {
	return s.Plus(sum.Seam, "no seam allowances", -2*l.Plan.Cover.Seam)
}

// sides are where the pieces of a back lie that are two.
var sides = map[ref.Role]string{ref.ClosureLeft: "left", ref.ClosureRight: "right"}

// Backing is the back of a cushion as it is cut.
type Backing struct {
	Piece cover.Piece
	// Decided of it, the path where that stands, and the letter of its cloth.
	Decided     plan.Piece
	Path, Cloth string
	Back        back.Back
	// Across is how wide the front is that it is sewn to, as cut.
	Across length.Length
	// Most is the back of the largest front that may be measured.
	Most back.Back
	// Waits is the gate it is cut after; empty when it is measured. Off tells that the front was, and is
	// of another size than planned.
	Waits   string
	Off     bool
	Samples sample.Shelf
}

// Back cuts each back piece, with what quilting needs when it is quilted. It returns the chain of each
// that has one, by its place among the pieces.
func (l *List) Back(b Backing) map[int]layers.Chain {
	chains := map[int]layers.Chain{}
	late := Now // cut when the front is sewn, also where that was measured already
	if plan.BackWaits(l.Plan) {
		late = AtFront
	}
	shape := ""
	if b.Piece.Shaped() {
		shape = "template" // the front itself, laid on them
	}
	for i, p := range b.Back.Panels {
		c := Cut{About: ref.About{Piece: "back", Role: p.Role}, Piece: "back", Part: p.Name, Title: p.Title,
			Cloth: b.Cloth, Size: p.Size, Count: p.Count, MayTurn: true,
			At: b.Path + "/face", Waits: b.Waits, Late: late, Shape: shape}
		most := p
		if late != Now && i < len(b.Most.Panels) {
			most = b.Most.Panels[i]
			c.Keep = l.Most(most.Size, 0)
		}
		if p.Small || p.Lining {
			c.Shape = ""
			if own := b.Decided.Layers; p.Lining && own != nil && own.Lining != "" {
				c.Cloth, c.Layer, c.At = own.Lining, Lining, b.Path+"/layers/lining"
			}
			l.Add(c)
			continue
		}
		order := layers.Order{Path: b.Path, Piece: b.Decided, Trimmed: p.Size, Step: l.Plan.Habits.Step,
			Samples: b.Samples}
		chain, said := layers.Of(order)
		*l.Found = append(*l.Found, said...)
		chains[i] = chain
		order.Trimmed = most.Size
		kept, _ := layers.Of(order)
		c.Size = chain.Top.UpTo(l.Plan.Habits.Step)
		if late != Now {
			c.Keep = l.Most(kept.Top, 0)
		}
		c.Selvedge = p.Selvedge && c.Size.Width.Total() == p.Size.Width.Total()
		off, opposite := sideOf(b.Back, i, p.Size.Width.Total(), b.Across)
		l.onMotif(&c, off, opposite)
		l.Add(c)
		if !l.Plan.Back.Lined { // a full lining takes the place of one under each piece
			l.Under(Stack{Piece: "back", Edge: sides[p.Role], Chain: chain, Most: kept, Count: p.Count, At: b.Path,
				Waits: b.Waits, Late: late})
		}
		if b.Off {
			l.cutEarly(c, p)
		}
	}
	return chains
}

// cutEarly finds a piece of the back that is cut, where the measured front wants another size.
func (l *List) cutEarly(c Cut, p back.Panel) {
	if _, ticked := l.Plan.Progress.Cut[c.About.Ref(ref.Cut).String()]; !ticked {
		return
	}
	text := l.Plan.Style().Text
	l.Found.Add(finding.Warn, "back-cut-early", "/back",
		p.Title+" is ticked as cut, and the measured front wants "+text(p.Size.Width.Total())+" × "+text(p.Size.Height.Total())+".",
		"Measure the piece: trim it, or ease it in, or use one of the remedies at the measuring step.")
}

// Fitting adds the parts of a fitting of a cloth, and what lies inside them.
func (l *List) Fitting(f fitting.Fitted, cloth string) {
	for i, part := range f.Parts {
		c := Cut{About: ref.About{Of: l.Plan.Fittings[f.Index].Key, Role: ref.FittingPart, No: i + 1}, Piece: f.On,
			Part: part.Title, Title: f.Title + part.Adds,
			Cloth: cloth, Size: part.Size, Count: part.Count, MayTurn: true, At: finding.Path("fittings", f.Index)}
		l.onPanel(&c, f, part)
		l.Add(c)
		l.within(f, part, c)
	}
}

// within adds what lies inside a part of a fitting.
func (l *List) within(f fitting.Fitted, part fitting.Part, outer Cut) {
	if f.Layers == nil {
		return
	}
	add := func(layer, cloth, title string, size sum.Size, count int) {
		c := outer
		c.At += "/layers"
		c.Centred, c.Off = false, lay.Offset{} // the print is that of what lies outside
		c.About.Layer, c.Part, c.Layer, c.Cloth, c.Title, c.Size, c.Count = layer, layer, layer, cloth,
			title+" of the "+strings.ToLower(f.Title), size, count
		l.Add(c)
	}
	if b := f.Layers.Batting; b != nil && b.Count > 0 {
		add(Batting, b.Cloth, "Batting", part.Inside.UpTo(l.Plan.Habits.Step), outer.Count*b.Count)
	}
	if f.Layers.Lining != "" {
		add(Lining, f.Layers.Lining, "Lining", outer.Size, outer.Count)
	}
}

// Shapes adds what shapes laid on a piece are cut from, twins that are alike together, and their web.
func (l *List) Shapes(piece cover.Piece, laid []applique.Layer) {
	for i, s := range laid {
		if s.Line() {
			continue
		}
		if i > 0 && s.Twin && s.SameTemplate(laid[i-1].Placed) {
			continue // cut with the first of the two
		}
		count := piece.Count
		if i+1 < len(laid) && laid[i+1].Twin && !s.Twin && s.SameTemplate(laid[i+1].Placed) {
			count *= 2
		}
		described, _ := l.Plan.Cloth(s.Shape.Cloth)
		c := Cut{About: ref.About{Piece: piece.Name, Of: s.Key, Twin: s.Twin, Role: ref.Shape}, Piece: piece.Name,
			Part: "shape", Title: s.Title,
			Cloth: s.Shape.Cloth, Size: s.Cut().UpTo(l.Plan.Habits.Step), Count: count, At: s.About, Shape: "template",
			MayTurn: described.Print != plan.OneWay, LaidOn: true, Path: s.Template().InMillimetres().Text(),
			Inset: s.Inset()}
		l.Add(c)
		if s.Fused() {
			c.About.Role = ref.WebOfShape
			c.Part, c.Layer, c.Cloth, c.Title, c.Shape, c.Path, c.MayTurn = "web", Web, plan.WebCloth,
				"Web for “"+s.Title+"”", "", "", true
			l.Add(c)
		}
	}
}
