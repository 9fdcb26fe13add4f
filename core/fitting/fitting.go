// Package fitting knows handles, pockets, straps, slits, tapes, loops, buttons
// and labels: where each lies on its piece, by distances from named edges or from
// the middle, whether it lies clear of seams, rounded corners and the others, and
// what is cut for it.
//
// A kind of fitting is one entry in kinds.
package fitting

import (
	"fmt"

	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// Sizes of making up. Common practice.
const (
	foldUnder = length.Inch     // turned under at the end of a strap, and boxed
	pocketHem = length.Inch     // turned twice by half at the top of a pocket
	slitSides = length.Inch / 4 // the stitching runs this far beside a slit
	slitSpare = 2 * length.Inch // a slit's facing is larger by this, in both directions
	clear     = length.Inch / 4 // a fitting keeps this far off a seam line
)

// Box is a rectangle on a piece, from its finished top left corner, right and
// down.
type Box struct{ X, Y, Width, Height length.Length }

// Part is a piece of cloth cut for a fitting.
type Part struct {
	Title string
	Size  sum.Size
	Count int
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
	Parts []Part
	// Fixing says how it is sewn on.
	Fixing string
	// Check names its distances from the opposite edges.
	Check string
}

// kind is what differs from fitting to fitting.
type kind struct {
	title string
	// needs names the sizes that have to be given.
	needs []string
	// foot is what one of it takes up on the piece.
	foot func(plan.Fitting) (width, height length.Length)
	// parts are what is cut for all of it; nil where it is bought.
	parts func(plan.Fitting, length.Length) []Part
	// fixing says how it is sewn on; it may name a size.
	fixing string
}

var kinds = map[plan.FittingKind]kind{
	"handle": {title: "Handle", needs: []string{"length", "width"}, foot: square, parts: strip,
		fixing: "Fold an inch under at both ends and sew a box with a cross in it."},
	"strap": {title: "Strap", needs: []string{"length", "width"}, foot: square, parts: strip,
		fixing: "Turn it, close the end with a dense zigzag, fold an inch under and sew a box with a cross in it."},
	"belt": {title: "Belt", needs: []string{"length", "width"}, foot: square, parts: strip,
		fixing: "Turn it, close the end with a dense zigzag, fold an inch under and sew a box with a cross in it."},
	"loop":   {title: "Loop", needs: []string{"length", "width"}, foot: square, parts: strip, fixing: "Fold it in half and catch both ends in one box of stitching."},
	"pocket": {title: "Pocket", needs: []string{"width", "height"}, foot: sized, parts: pocket, fixing: "Hem the top, press the other edges under, and stitch close to the edge on three sides, back and forth at the top."},
	"label":  {title: "Label", needs: []string{"width", "height"}, foot: sized, parts: patch, fixing: "Press the edges under and stitch all round."},
	"tape":   {title: "Tape", needs: []string{"length", "width"}, foot: lying, fixing: "Stitch all round, close to the edge."},
	"button": {title: "Button", needs: []string{"width"}, foot: round, fixing: "Sew it on through a small square of firm cloth behind. Buttons come off: not for small children."},
	"slit": {title: "Slit", needs: []string{"length"}, foot: slit, parts: facing,
		fixing: "Lay the facing right side down, sew up one side, across and down the other a quarter inch from the marked line, then cut along it, turn and press."},
}

func square(f plan.Fitting) (length.Length, length.Length) { return f.Width, f.Width }
func sized(f plan.Fitting) (length.Length, length.Length)  { return f.Width, f.Height }
func lying(f plan.Fitting) (length.Length, length.Length)  { return f.Length, f.Width }
func round(f plan.Fitting) (length.Length, length.Length)  { return f.Width, f.Width }
func slit(f plan.Fitting) (length.Length, length.Length)   { return 2 * slitSides, f.Length }

// strip is cut for a band that is folded along its length.
func strip(f plan.Fitting, seam length.Length) []Part {
	return []Part{{Title: "strip, folded along its length", Count: count(f), Size: sum.Size{
		Width:  sum.Of(sum.Part, "length", f.Length).Plus(sum.Hem, "folded under at one end", foldUnder).Plus(sum.Hem, "folded under at the other", foldUnder),
		Height: sum.Of(sum.Part, "front", f.Width).Plus(sum.Part, "back", f.Width).Between(sum.Seam, "seam allowance", seam),
	}}}
}

func pocket(f plan.Fitting, seam length.Length) []Part {
	return []Part{{Title: "pocket", Count: count(f), Size: sum.Size{
		Width:  sum.Of(sum.Part, "width", f.Width).Between(sum.Seam, "turned under", seam),
		Height: sum.Of(sum.Hem, "hem at the top", pocketHem).Plus(sum.Part, "height", f.Height).Plus(sum.Seam, "turned under", seam),
	}}}
}

func patch(f plan.Fitting, seam length.Length) []Part {
	return []Part{{Title: "label", Count: count(f), Size: sum.Size{Width: sum.Of(sum.Part, "width", f.Width), Height: sum.Of(sum.Part, "height", f.Height)}.Between(sum.Seam, "turned under", seam)}}
}

func facing(f plan.Fitting, _ length.Length) []Part {
	return []Part{{Title: "facing of the slit", Count: count(f), Size: sum.Size{
		Width:  sum.Of(sum.Part, "beside the slit", slitSpare),
		Height: sum.Of(sum.Part, "length of the slit", f.Length).Plus(sum.Part, "beyond its end", slitSpare),
	}}}
}

func count(f plan.Fitting) int { return max(f.Count, 1) }

// Order is what fittings are placed on.
type Order struct {
	Fittings []plan.Fitting
	Pieces   []cover.Piece
	Seam     length.Length
	Step     length.Length
	Style    length.Style
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
	k, ok := kinds[f.Kind]
	piece := o.piece(f.On)
	switch {
	case !ok:
		found.Add(finding.Stop, "fitting", path+"/kind", fmt.Sprintf("A %s is read and kept, but not reckoned here.", f.Kind), "Take it out of this plan.")
	case piece == nil:
		found.Add(finding.Stop, "fitting-on", path+"/on", fmt.Sprintf("There is no piece %q to put it on.", f.On), "Name a piece of this cover.")
	default:
		found = append(found, o.sizes(path, k, f)...)
	}
	if found.Stopped() {
		return Fitted{}, found
	}
	w, h := k.foot(f)
	boxes := boxes(f, *piece, w, h)
	out := Fitted{Index: i, Title: k.title, On: f.On, Cloth: f.Cloth, Boxes: boxes, Fixing: k.fixing, Check: o.check(*piece, boxes)}
	if k.parts != nil {
		out.Parts = k.parts(f, o.Seam)
		for j := range out.Parts {
			out.Parts[j].Size = out.Parts[j].Size.UpTo(o.Step)
		}
	}
	return out, append(found, o.inside(path, k.title, f, *piece, boxes)...)
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
func (o Order) sizes(path string, k kind, f plan.Fitting) finding.List {
	var found finding.List
	given := map[string]length.Length{"length": f.Length, "width": f.Width, "height": f.Height}
	for _, need := range k.needs {
		if given[need] <= 0 {
			found.Add(finding.Stop, "out-of-range", path+"/"+need, fmt.Sprintf("The %s of the %s cannot be %s.", need, f.Kind, o.Style.Text(given[need])), "Type a length over 0.")
		}
	}
	if f.Count < 0 || f.Count > 20 {
		found.Add(finding.Stop, "out-of-range", path+"/count", fmt.Sprintf("There cannot be %d of it.", f.Count), "Type a number from 1 to 20.")
	}
	return found
}

// boxes are the places of a fitting: one, or spread over its count; a handle
// has one at each end.
func boxes(f plan.Fitting, p cover.Piece, w, h length.Length) []Box {
	whole, high := p.Finished.Width.Total(), p.Finished.Height.Total()
	y := along(f.At.Top, f.At.Bottom, high, h)
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
	first := along(f.At.Left, f.At.Right, whole, w)
	out := []Box{{X: first, Y: y, Width: w, Height: h}}
	// More of the same stand evenly up to the mirrored place of the first.
	n := count(f)
	last := whole - w - first
	for i := 1; i < n; i++ {
		out = append(out, Box{X: first + (last-first).Times(i)/length.Length(n-1), Y: y, Width: w, Height: h})
	}
	return out
}

// along is where something of a size begins, by its distance from either end or
// in the middle.
func along(near, far *length.Length, whole, size length.Length) length.Length {
	switch {
	case near != nil:
		return *near
	case far != nil:
		return whole - *far - size
	default:
		return (whole - size) / 2
	}
}

// check names the distances from both sides, for the ruler.
func (o Order) check(p cover.Piece, boxes []Box) string {
	b, text := boxes[0], o.Style.Text
	return fmt.Sprintf("%s from the left and %s from the right, %s from the top and %s from the bottom of the finished piece.",
		text(b.X), text(p.Finished.Width.Total()-b.X-b.Width), text(b.Y), text(p.Finished.Height.Total()-b.Y-b.Height))
}

// inside finds a fitting that falls into a seam or off a rounded corner.
func (o Order) inside(path, title string, f plan.Fitting, p cover.Piece, boxes []Box) finding.List {
	var found finding.List
	text := o.Style.Text
	for _, b := range boxes {
		left, top := b.X, b.Y
		right, bottom := p.Finished.Width.Total()-b.X-b.Width, p.Finished.Height.Total()-b.Y-b.Height
		least := min(left, right, min(top, bottom))
		onEdge := f.At.Edge != "" && least == 0
		switch {
		case least < 0:
			found.Add(finding.Stop, "fitting-off", path+"/at", fmt.Sprintf("The %s reaches %s beyond the seam line of the %s.", lower(title), text(-least), p.Name), "Move it in, or make it smaller.")
		case o.offCorner(p, b):
			found.Add(finding.Stop, "fitting-corner", path+"/at", fmt.Sprintf("A corner of the %s lies off the rounded corner of the %s.", lower(title), p.Name), "Move it in from the corner.")
		case least < clear && !onEdge:
			found.Add(finding.Warn, "fitting-close", path+"/at", fmt.Sprintf("The %s lies %s from the seam line of the %s.", lower(title), text(least), p.Name), fmt.Sprintf("Leave %s for the presser foot.", text(clear)))
		default:
			continue
		}
		return found
	}
	return found
}

func lower(title string) string { return string(title[0]+'a'-'A') + title[1:] }

// offCorner reports whether a box sticks out of a rounded corner.
func (o Order) offCorner(p cover.Piece, b Box) bool {
	r, w, h := p.Radii, p.Finished.Width.Total(), p.Finished.Height.Total()
	off := func(radius, dx, dy length.Length) bool {
		if dx >= radius || dy >= radius {
			return false
		}
		x, y := (radius - dx).Float(), (radius - dy).Float()
		return x*x+y*y > radius.Float()*radius.Float()
	}
	right, bottom := w-b.X-b.Width, h-b.Y-b.Height
	return off(r.TopLeft, b.X, b.Y) || off(r.TopRight, right, b.Y) || off(r.BottomRight, right, bottom) || off(r.BottomLeft, b.X, bottom)
}

// apart finds fittings that lie on each other, and several of one that do.
func (o Order) apart(all []Fitted) finding.List {
	var found finding.List
	for i, a := range all {
		if len(a.Boxes) > 1 && overlap(a.Boxes[:1], a.Boxes[1:]) {
			found.Add(finding.Warn, "fitting-overlap", finding.Path("fittings", a.Index, "at"),
				fmt.Sprintf("%d of the %s are to stand side by side and lie on each other.", len(a.Boxes), lower(a.Title)),
				"Give the first a distance from the left: the others stand evenly up to the same distance from the right.")
		}
		for _, b := range all[:i] {
			if a.On == b.On && overlap(a.Boxes, b.Boxes) {
				level := finding.Warn
				if a.Title == "Slit" || b.Title == "Slit" {
					level = finding.Stop // it would be cut through
				}
				found.Add(level, "fitting-overlap", finding.Path("fittings", a.Index, "at"),
					fmt.Sprintf("The %s lies on the %s.", lower(a.Title), lower(b.Title)), "Move one of them.")
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
