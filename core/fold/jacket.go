package fold

import (
	"math"

	"umschlag/core/cover"
	"umschlag/core/plan"
)

// The order in which a jacket is folded: first its inside is laid behind it and its flaps
// are doubled, then all closes round the book.
const laidBehind = 0.4

var (
	doubling = share{0, 0.25}
	closing  = share{laidBehind, 1}
)

// book is how the outside of a jacket goes round its book, along its width, in nanometres.
type book struct {
	// begin and end are where it turns round the fore-edges, over turn each; flaps lie
	// beyond where they are turned in. spine lies in the middle between them.
	begin, end, turn, spine float64
}

// thin is how thick a book is drawn of which nobody said, as a share of the way round it. It
// is for the picture and cuts nothing.
const thin = 0.05

// book reads the way off the outside.
func (f *Folder) book(outside cover.Piece) book {
	o, c := f.plan.Object, f.plan.Cover
	whole, _ := size(outside)
	grown := 1 / (1 - c.Wash/100)
	out := book{end: whole, turn: quarter * (o.Thickness + c.Bulk).Float() * grown}
	if c.Flaps.Style == plan.TurnedIn {
		out.begin, out.end = c.Flaps.Depth.Back.Float(), whole-c.Flaps.Depth.Front.Float()
	}
	room := out.end - out.begin - 2*out.turn
	out.spine = math.Min(max(o.Spine, 2*o.Thickness).Float()*grown, room/3)
	if out.spine == 0 {
		out.spine = room * thin
	}
	return out
}

// turns are the bends of a piece that goes the way of the outside and begins at a distance
// along it; the other way round for one that lies within.
func (b book) turns(begins float64, within bool) []bend {
	middle, sign, round := (b.begin+b.end)/2-begins, 1.0, math.Pi
	if within {
		sign = -1
	}
	if b.turn == 0 { // without a thickness the flaps would lie in the boards
		round -= ajar
	}
	return []bend{
		{b.begin - begins, b.turn, sign * round},
		{middle - b.spine/2, 0, sign * quarter},
		{middle + b.spine/2, 0, sign * quarter},
		{b.end - b.turn - begins, b.turn, sign * round},
	}
}

// ajar is the angle, in radians, that is left open where cloth would lie in cloth.
const ajar = 0.02

// foldJacket stands as its book does, closed, its spine at the left.
func foldJacket(f *Folder) {
	outside, inside := f.pieces["outside"], f.pieces["inside"]
	way := f.book(outside)
	middle := (way.begin + way.end) / 2
	hinge := stand(outside, quarter, quarter)
	hinge.Own.X, hinge.On.Angle, hinge.From = middle, quarter, laidBehind
	out := f.bent(outside, 0, across, way.turns(0, false), middle, hinge, closing)
	w, _ := size(inside)
	behind := hang(out.leafAt(middle), Axis{X: w / 2}, Axis{X: middle}, math.Pi)
	behind.To = laidBehind
	f.bent(inside, 0, across, way.turns(way.begin, true), w/2, behind, closing)
	if f.plan.Cover.Flaps.Style != plan.TurnedIn {
		foldFlaps(f, outside, out)
	}
}

// foldFlaps hang on both ends of the outside and go on from there: folded double, or in one layer
// with a hem.
func foldFlaps(f *Folder, outside cover.Piece, out strip) {
	long, _ := size(outside)
	front, _ := f.twin("flap", 0)
	back, copied := f.twin("flap", 1)
	if own, ok := f.pieces["flap.back"]; ok {
		back, copied = own, 0
	}
	right := hang(out.leafAt(long), edge(front, cover.Left, 0.5), edge(outside, cover.Right, 0.5), 0)
	left := hang(out.leafAt(0), edge(back, cover.Right, 0.5), edge(outside, cover.Left, 0.5), 0)
	if f.plan.Cover.Flaps.Style == plan.Flipped {
		left.Own = edge(back, cover.Left, 0.5)
		f.bent(front, 0, across, nil, 0, right, closing)
		f.bent(back, copied, across, nil, 0, left, closing)
		return
	}
	w, _ := size(back)
	f.bent(front, 0, across, double(front), 0, right, doubling)
	f.bent(back, copied, across, double(back), w, left, doubling)
}

// double is the fold of a flap in the middle.
func double(flap cover.Piece) []bend {
	w, _ := size(flap)
	return []bend{{at: w / 2, turn: math.Pi}}
}
