// Package fitting knows handles, pockets, straps, slits, tapes, loops, buttons
// and labels: where each lies on its piece, by distances from named edges or from
// the middle, whether it lies clear of seams, hems, rounded corners and the others,
// and what is cut for it.
//
// A kind of fitting is one value in Kinds.
package fitting

import (
	"fmt"

	"umschlag/core/caution"
	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/place"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Box is a rectangle on a piece, from its finished top left corner, right and
// down.
type Box struct{ X, Y, Width, Height length.Length }

// Line is a line of stitching on a piece, from its finished top left corner.
type Line struct{ X1, Y1, X2, Y2 length.Length }

// Part is a piece of cloth cut for a fitting.
type Part struct {
	// Title is what it is, and Adds what that adds to the title of its fitting.
	Title string
	Adds  string
	Size  sum.Size
	Count int
	// Inside is what batting in it is cut to: its size without allowances.
	Inside sum.Size
	// Flat lies flat on its piece, its print beside that of the piece; its middle there is so far Below its middle as
	// cut.
	Flat  bool
	Below length.Length
}

// Notion is what is bought for a fitting by the length.
type Notion struct {
	What   string
	Length sum.Sum
}

// Fitted is a fitting in its place.
type Fitted struct {
	// Index in the plan's list.
	Index int
	Title string
	On    string
	Cloth string
	// Boxes it takes up on the piece; a handle has one at each end.
	Boxes []Box
	// Round tells that its boxes hold circles.
	Round bool
	// Lines of stitching across it.
	Lines   []Line
	Parts   []Part
	Notions []Notion
	// Layers inside it; nil for none.
	Layers *plan.Layers
	// Buttons it takes.
	Buttons int
	// Making says how it is made up; empty where it is not.
	Making string
	// Fixing says how it is sewn on, Caution what to take care of there; Hand tells that it is sewn on by
	// hand, Through that the piece is cut through.
	Fixing        string
	Caution       caution.Said
	Hand, Through bool
	// Strip tells that it is sewn from a folded strip, Tip is what makers say when they sew it on.
	Strip bool
	Tip   string
	// Late tells that it is sewn when the pieces are joined, not before.
	Late bool
	// From are the distances of its first box from the edges of the finished piece,
	// and Check names them.
	From  Distances
	Check string
}

// Distances from the four edges of a piece.
type Distances struct{ Left, Right, Top, Bottom length.Length }

// Zone is a stretch of a piece that fittings keep off.
type Zone struct {
	On   string
	Name ZoneName
	Box  Box
}

// ZoneName is what makes a zone.
type ZoneName string

// The zones.
const (
	Hem  ZoneName = "hem"
	Seam ZoneName = "seam"
	Zip  ZoneName = "zip"
)

// Order is what fittings are placed on.
type Order struct {
	Fittings []plan.Fitting
	Pieces   []cover.Piece
	// Zones beyond the hems of the pieces themselves.
	Zones []Zone
	// Doubled tells that two faces are sewn to each other, as in a pad: a slit at
	// their edge goes through both and needs no facing.
	Doubled bool
	// Ends says how the open end of a strap is closed.
	Ends  plan.StrapEnds
	Seam  length.Length
	Step  length.Length
	Style length.Style
}

// Place puts every fitting in its place and finds those that cannot lie there.
func Place(o Order) ([]Fitted, finding.List) {
	var out []Fitted
	var found finding.List
	for i, f := range o.Fittings {
		fitted, list := o.one(i, f)
		found = append(found, list...)
		if !list.Stopped() {
			out = append(out, fitted)
		}
	}
	found = append(found, o.apart(out)...)
	return out, found
}

func (o Order) one(i int, f plan.Fitting) (Fitted, finding.List) {
	var found finding.List
	path := finding.Path("fittings", i)
	k, ok := Kinds.Of(string(f.Kind))
	piece := o.piece(f.On)
	switch {
	case !ok:
		found.Add(finding.Stop, "fitting", path+"/kind",
			fmt.Sprintf("A %s is read and kept, but not worked out here.", f.Kind), "Remove it from this plan.")
	case piece == nil:
		found.Add(finding.Stop, "fitting-on", path+"/on", fmt.Sprintf("There is no piece %q to put it on.", f.On),
			"Name a piece of this cover.")
	default:
		found = append(found, o.sizes(path, k, f)...)
	}
	if found.Stopped() {
		return Fitted{}, found
	}
	m := o.made(f)
	w, h := k.Foot(m)
	boxes := boxes(f, *piece, w, h)
	out := Fitted{Index: i, Title: k.Title, On: f.On, Cloth: f.Cloth, Boxes: boxes, Round: k.Round, Caution: k.Caution,
		Hand: k.Hand, Through: k.Through, Strip: k.Strip, Tip: k.Tip,
		Fixing: k.Fixing(m), Late: m.through(), From: distances(*piece, boxes[0])}
	out.Check = o.check(out.From)
	if k.Making != nil {
		out.Making = k.Making(m)
	}
	if k.Parts != nil {
		out.Parts = k.Parts(m)
		for j := range out.Parts {
			out.Parts[j].Size = out.Parts[j].Size.UpTo(o.Step)
		}
	}
	if len(out.Parts) > 0 {
		out.Layers = f.Layers
	}
	if k.Bought != nil {
		k.Bought(m, &out)
	}
	for _, b := range boxes {
		if k.Lines != nil {
			out.Lines = append(out.Lines, k.Lines(m, b)...)
		}
	}
	found = append(found, o.inside(path, k.Title, f, *piece, boxes)...)
	return out, append(found, o.clearOf(path, k.Title, *piece, boxes)...)
}

func (o Order) piece(name string) *cover.Piece {
	for i, p := range o.Pieces {
		if p.Name == name {
			return &o.Pieces[i]
		}
	}
	return nil
}

// sizes finds what is missing or senseless.
func (o Order) sizes(path string, k Kind, f plan.Fitting) finding.List {
	var found finding.List
	given := map[string]length.Length{"length": f.Length, "width": f.Width, "height": f.Height}
	for _, need := range k.Needs {
		if given[need] <= 0 {
			found.Add(finding.Stop, "out-of-range", path+"/"+need,
				fmt.Sprintf("The %s of the %s cannot be %s.", need, f.Kind, o.Style.Text(given[need])),
				"Type a length over 0.")
		}
	}
	if f.Count < 0 || f.Count > 20 {
		found.Add(finding.Stop, "out-of-range", path+"/count", fmt.Sprintf("There cannot be %d of it.", f.Count),
			"Type a number from 1 to 20.")
	}
	if k.Judge != nil && !found.Stopped() {
		k.Judge(o.made(f), path, &found)
	}
	return found
}

// boxes are the places of a fitting: one, or spread over its count; a handle
// has one at each end, and the short one of a pair stands mirrored to the long one.
func boxes(f plan.Fitting, p cover.Piece, w, h length.Length) []Box {
	whole, high := p.Finished.Width.Total(), p.Finished.Height.Total()
	y := place.Along(f.At.Top, f.At.Bottom, high, h)
	if f.At.Edge == plan.EdgeName(cover.Bottom) {
		y = high - h
	}
	if f.At.Edge == plan.EdgeName(cover.Top) {
		y = 0
	}
	if f.Spread > 0 {
		x := (whole - f.Spread) / 2
		switch {
		case f.At.Left != nil:
			x = *f.At.Left
		case f.At.Right != nil:
			x = whole - *f.At.Right - f.Spread
		}
		return []Box{{X: x - w/2, Y: y, Width: w, Height: h}, {X: x + f.Spread - w/2, Y: y, Width: w, Height: h}}
	}
	first := place.Along(f.At.Left, f.At.Right, whole, w)
	out := []Box{{X: first, Y: y, Width: w, Height: h}}
	// More of the same stand evenly up to the mirrored place of the first.
	n := places(f)
	last := whole - w - first
	for i := 1; i < n; i++ {
		out = append(out, Box{X: first + (last-first).Times(i)/length.Length(n-1), Y: y, Width: w, Height: h})
	}
	return out
}

func distances(p cover.Piece, b Box) Distances {
	return Distances{Left: b.X, Right: p.Finished.Width.Total() - b.X - b.Width, Top: b.Y,
		Bottom: p.Finished.Height.Total() - b.Y - b.Height}
}

// check names the distances from both sides, for the ruler.
func (o Order) check(d Distances) string {
	text := o.Style.Text
	return fmt.Sprintf("%s from the left and %s from the right, %s from the top and %s from the bottom of the finished piece.",
		text(d.Left), text(d.Right), text(d.Top), text(d.Bottom))
}

// inside finds a fitting that falls into a seam or off a rounded corner.
func (o Order) inside(path, title string, f plan.Fitting, p cover.Piece, boxes []Box) finding.List {
	var found, near finding.List
	text := o.Style.Text
	for _, b := range boxes {
		d := distances(p, b)
		least := min(d.Left, d.Right, d.Top, d.Bottom)
		onEdge := f.At.Edge != "" && least == 0
		switch {
		case least < 0:
			found.Add(finding.Stop, "fitting-off", path+"/at",
				fmt.Sprintf("The %s reaches %s beyond the seam line of the %s.", lower(title), text(-least), p.Name),
				"Move it in, or make it smaller.")
		case o.offCorner(p, b):
			found.Add(finding.Stop, "fitting-corner", path+"/at",
				fmt.Sprintf("A corner of the %s lies off the rounded corner of the %s.", lower(title), p.Name),
				"Move it in from the corner.")
		case least < o.usual().clear && !onEdge:
			near.Add(finding.Warn, "fitting-close", path+"/at",
				fmt.Sprintf("The %s lies %s from the seam line of the %s.", lower(title), text(least), p.Name),
				fmt.Sprintf("Leave %s for the presser foot.", text(o.usual().clear)))
		}
		if found.Stopped() {
			return found
		}
	}
	return near[:min(len(near), 1)] // said once, however many of it there are
}

func lower(title string) string { return string(title[0]+'a'-'A') + title[1:] }

// offCorner reports whether a box sticks out of a rounded or tapered corner.
func (o Order) offCorner(p cover.Piece, b Box) bool {
	if !p.Shaped() {
		return false
	}
	line := p.Line()
	for _, x := range []length.Length{b.X, b.X + b.Width} {
		for _, y := range []length.Length{b.Y, b.Y + b.Height} {
			if !line.Contains(x.Float(), y.Float()) {
				return true
			}
		}
	}
	return false
}

// clearly says what to do about a fitting on a zone.
var clearly = map[ZoneName]string{
	Hem:  "Move it clear, or sew it on before the hem is turned and catch it there.",
	Seam: "Move it clear of the bulk, or put the joins of the strip elsewhere.",
	Zip:  "Move it clear of the zip, or it cannot be opened.",
}

// clearOf finds a fitting that lies on a hem or on the seam between two strips.
func (o Order) clearOf(path, title string, p cover.Piece, boxes []Box) finding.List {
	var found finding.List
	for _, z := range append(hems(p), o.Zones...) {
		if z.On == p.Name && overlap(boxes, []Box{z.Box}) {
			found.Add(finding.Warn, "fitting-"+string(z.Name), path+"/at",
				fmt.Sprintf("The %s lies on a %s of the %s.", lower(title), z.Name, p.Name), clearly[z.Name])
		}
	}
	return found
}

// hems are the stretches that a piece's hems are turned in over.
func hems(p cover.Piece) []Zone {
	w, h := p.Finished.Width.Total(), p.Finished.Height.Total()
	var out []Zone
	for _, e := range []struct {
		a   cover.Allowance
		box Box
	}{
		{p.Edges.Left, Box{Width: p.Edges.Left.Width, Height: h}},
		{p.Edges.Right, Box{X: w - p.Edges.Right.Width, Width: p.Edges.Right.Width, Height: h}},
		{p.Edges.Top, Box{Width: w, Height: p.Edges.Top.Width}},
		{p.Edges.Bottom, Box{Y: h - p.Edges.Bottom.Width, Width: w, Height: p.Edges.Bottom.Width}},
	} {
		if e.a.Kind == sum.Hem {
			out = append(out, Zone{On: p.Name, Name: Hem, Box: e.box})
		}
	}
	return out
}

// apart finds fittings that lie on each other, and several of one that do.
func (o Order) apart(all []Fitted) finding.List {
	var found finding.List
	for i, a := range all {
		if len(a.Boxes) > 1 && overlap(a.Boxes[:1], a.Boxes[1:]) {
			found.Add(finding.Warn, "fitting-overlap", finding.Path("fittings", a.Index, "at"),
				fmt.Sprintf("%d of the %s are to stand side by side and lie on each other.", len(a.Boxes),
					lower(a.Title)),
				"Give the first a distance from the left: the others stand evenly up to the same distance from the right.")
		}
		for _, b := range all[:i] {
			if a.On == b.On && overlap(a.Boxes, b.Boxes) {
				level := finding.Warn
				if a.Through || b.Through {
					level = finding.Stop // it would be cut through
				}
				text := fmt.Sprintf("The %s lies on the %s.", lower(a.Title), lower(b.Title))
				if a.Title == b.Title {
					text = fmt.Sprintf("One %s lies on another.", lower(a.Title))
				}
				found.Add(level, "fitting-overlap", finding.Path("fittings", a.Index, "at"), text, "Move one of them.")
			}
		}
	}
	return found
}

func overlap(a, b []Box) bool {
	for _, p := range a {
		for _, q := range b {
			if p.X < q.X+q.Width && q.X < p.X+p.Width && p.Y < q.Y+q.Height && q.Y < p.Y+p.Height {
				return true
			}
		}
	}
	return false
}

// OrderOf is what the fittings of a settled plan are placed by.
func OrderOf(p plan.Plan, c cover.Cover) Order {
	return Order{Fittings: p.Fittings, Pieces: c.Pieces, Seam: p.Cover.Seam, Step: p.Habits.Step, Doubled: c.Doubled,
		Ends: p.Habits.Ends, Style: p.Style()}
}
