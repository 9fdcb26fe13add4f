package fold

import (
	"math"

	"umschlag/core/cover"
	"umschlag/core/kind"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
)

// Of is how a cover folds. The pieces are those of the plan, settled; it has nothing where
// they are not all there.
func Of(p plan.Plan, c cover.Cover) Fold {
	f := Folder{plan: p, pieces: map[string]cover.Piece{}, joins: c.Joins}
	for _, one := range c.Pieces {
		f.pieces[one.Name] = one
	}
	k, ok := Kinds.Of(string(p.Cover.Kind))
	if !ok || len(c.Pieces) == 0 {
		return Fold{}
	}
	k.Fold(&f)
	out := Fold{Leaves: f.leaves}
	out.Inside = f.room(out, k.Inside(p.Object))
	if k.Wrapped {
		out.Inside = append(f.wrapped(out), out.Inside...)
	}
	out.Solids = f.solids(out)
	return out
}

// Folder folds one cover.
type Folder struct {
	builder
	plan   plan.Plan
	pieces map[string]cover.Piece
	joins  []cover.Join
}

// Kind is how a kind of cover folds.
type Kind struct {
	// Fold adds its leaves, each after the one it hangs on.
	Fold func(*Folder)
	// Inside are the axes of the object that its room is measured along when it is closed.
	Inside func(plan.Object) []Extent
	// Wrapped ones lie round a book, which is measured along their outside.
	Wrapped bool
}

// Extent is how far the object reaches along an axis, as the plan names that and as a maker does, and the direction
// of the closed cover it lies in: 0 to the right, 1 down, 2 to the inside.
type Extent struct {
	Axis, Name string
	Direction  int
	Size       length.Length
}

// Kinds are the kinds of covers, by their words in the plan.
var Kinds kind.Set[Kind]

func init() {
	box := func(o plan.Object) []Extent {
		return []Extent{{"length", "long", 0, o.Length}, {"depth", "deep", 2, o.Depth}, {"height", "tall", 1, o.Height}}
	}
	Kinds.Add("cushion", Kind{Fold: foldCushion, Inside: func(o plan.Object) []Extent { return flatExtents(o, 1) }})
	Kinds.Add("boxed-cushion", Kind{Fold: foldBoxed, Inside: func(o plan.Object) []Extent {
		return append(flatExtents(o, 2), Extent{"depth", "thick", 1, o.Thickness})
	}})
	Kinds.Add("wrap-hood", Kind{Fold: foldWrapHood, Inside: box})
	Kinds.Add("band-hood", Kind{Fold: foldBandHood, Inside: box})
	Kinds.Add("skirt-hood", Kind{Fold: foldSkirtHood, Inside: box})
	Kinds.Add("jacket", Kind{Fold: foldJacket, Wrapped: true,
		Inside: func(o plan.Object) []Extent { return []Extent{{"height", "up", 1, o.Height}} }})
	Kinds.Add("pad", Kind{Fold: foldPad, Inside: func(o plan.Object) []Extent { return flatExtents(o, 2) }})
}

// flatExtents are the two axes of something flat, of which the second stands or lies; one of something round.
func flatExtents(o plan.Object, second int) []Extent {
	out := []Extent{{"width", "across", 0, o.Width}, {"height", "up", second, o.Height}}
	if o.Round() {
		out = out[:1]
	}
	return out
}

// twin is one of two pieces alike, from 0, and which copy it is of its piece: of one by itself where they are told
// apart.
func (f *Folder) twin(name string, which int) (p cover.Piece, copied int) {
	if own, apart := f.pieces[plan.TwinNames(name)[which]]; apart {
		return own, 0
	}
	return f.pieces[name], which
}

// hung adds one of two pieces alike that does not bend.
func (f *Folder) hung(name string, which int, hinge Hinge) int {
	p, copied := f.twin(name, which)
	return f.flat(p, copied, hinge)
}

// Piece is one of the cover, by its name.
func (f *Folder) Piece(name string) cover.Piece { return f.pieces[name] }

// Stand adds the piece that everything hangs on: it lies, facing up.
func (f *Folder) Stand(p cover.Piece) int { return f.flat(p, 0, stand(p, 0, lying)) }

// Hang adds a copy of a piece that hangs with an edge on an edge of another leaf, turned by an angle when the
// cover is closed.
func (f *Folder) Hang(p cover.Piece, copied int, own cover.Edge, parent int, on cover.Piece, at cover.Edge,
	turn float64) int {
	return f.flat(p, copied, hang(parent, edge(p, own, 0.5), edge(on, at, 0.5), turn))
}

// size of a piece as it finishes.
func size(p cover.Piece) (w, h float64) {
	return p.Finished.Width.Total().Float(), p.Finished.Height.Total().Float()
}

// edge is an edge of a piece in the direction of its outline, clockwise; what hangs on its
// piece there reaches to its right, into the piece. at is a share of it.
func edge(p cover.Piece, e cover.Edge, at float64) Axis {
	w, h := size(p)
	switch e {
	case cover.Left:
		return Axis{0, h * (1 - at), -math.Pi / 2}
	case cover.Right:
		return Axis{w, h * at, math.Pi / 2}
	case cover.Top:
		return Axis{w * at, 0, 0}
	default:
		return Axis{w * (1 - at), h, math.Pi}
	}
}

// on is a place of a path round a piece, which the piece lies to the right of.
func on(path outline.Path, at float64) Axis {
	x, y, direction := path.At(at)
	return Axis{x, y, direction}
}

// hang is a hinge at an edge of the parent, where what hangs lies flat beside it.
func hang(parent int, own, edge Axis, turn float64) Hinge {
	return Hinge{Parent: parent, Own: own, On: edge.reversed(), Turn: turn, To: 1}
}

// stand is the hinge of the leaf that everything hangs on: about its own middle, from facing
// the one who looks to how the cover stands closed.
func stand(p cover.Piece, angle, turn float64) Hinge {
	w, h := size(p)
	return Hinge{Parent: -1, Own: Axis{w / 2, h / 2, angle}, On: Axis{}, Turn: turn, To: 1}
}

// quarter is a right angle.
const quarter = math.Pi / 2

// lying turns a leaf that faced the one who looks so that it faces up.
const lying = -quarter

// flat adds a piece that does not bend.
func (f *Folder) flat(p cover.Piece, copied int, hinge Hinge) int {
	return f.bent(p, copied, across, nil, 0, hinge, always).spans[0].leaf
}

// round is the seam all round a piece.
func round(p cover.Piece) outline.Path {
	return p.Seam(cover.Run{cover.Left, cover.Top, cover.Right, cover.Bottom}).Path
}

// over is the seam up a panel, over it and down again.
func over(p cover.Piece) outline.Path {
	return p.Seam(cover.Run{cover.Left, cover.Top, cover.Right}).Path
}

// foldCushion is a front that stands, and a back that is turned behind it.
func foldCushion(f *Folder) {
	front, back := f.pieces["front"], f.pieces["back"]
	root := f.flat(front, 0, stand(front, 0, 0))
	behind := f.Hang(back, 0, cover.Left, root, front, cover.Right, math.Pi)
	f.fill(root, front, f.plump(front))
	f.fill(behind, back, f.plump(back))
}

// foldPad is a top that lies, and an under side that is turned below it.
func foldPad(f *Folder) {
	top, under := f.pieces["top"], f.pieces["under"]
	root := f.Stand(top)
	below := f.Hang(under, 0, cover.Left, root, top, cover.Right, math.Pi)
	f.fill(root, top, f.padded(top))
	f.fill(below, under, f.padded(under))
}

// foldBoxed is a face that lies, a band round it and the other face below.
func foldBoxed(f *Folder) {
	face, _ := f.twin("face", 0)
	band := f.pieces["band"]
	line := round(face)
	whole := line.Length()
	start := f.startOf("band", face.Name)
	long, high := size(band)
	top := f.hung("face", 0, stand(face, 0, lying))
	middle := math.Mod(start+long/2, whole)
	turns := ringBends(line, start, long, true)
	ring := f.bent(band, 0, across, turns, long/2, hang(top, Axis{X: long / 2}, on(line, middle), quarter), always)
	below := f.hung("face", 1, hang(ring.leafAt(long/2), on(line, middle), Axis{X: long / 2, Y: high, Angle: math.Pi},
		quarter))
	if zip, ok := f.pieces["band.zip"]; ok {
		zipHalves(f, zip, line, top)
	}
	f.fill(top, face, crowned(face))
	f.fill(below, face, crowned(face))
}

// zipHalves are the two halves of a band beside its zip, at the back.
func zipHalves(f *Folder, zip cover.Piece, line outline.Path, top int) {
	long, high := size(zip)
	start := (line.Length() - long) / 2
	turns := ringBends(line, start, long, false)
	half := f.bent(zip, 0, across, turns, long/2,
		hang(top, Axis{long / 2, high, math.Pi}, on(line, line.Length()/2), quarter), always)
	f.bent(zip, 1, across, turns, long/2, hang(half.leafAt(long/2), Axis{X: long / 2}, Axis{X: long / 2}, 0), always)
}

// startOf is where the seam of the first of two pieces begins on the second's.
func (f *Folder) startOf(first, second string) float64 {
	for _, j := range f.joins {
		if j.Between == [2]string{first, second} {
			return j.Start(0).Float()
		}
	}
	return 0
}

// ringBends are the bends of a strip that goes round a piece from a distance along its
// seam; backwards where the strip begins at the other end of that.
func ringBends(line outline.Path, start, long float64, backwards bool) []bend {
	whole := line.Length()
	out := bends(line, start, math.Min(start+long, whole))
	for _, more := range bends(line, 0, start+long-whole) { // past the beginning of the seam
		more.at += whole - start
		out = append(out, more)
	}
	if backwards {
		for i := range out {
			out[i].at = math.Max(0, long-out[i].at-out[i].long)
		}
	}
	return out
}

// foldWrapHood is a main panel over the top, in one or with a seam there, and two ends.
func foldWrapHood(f *Folder) {
	end, _ := f.twin("end", 0)
	main, _ := f.twin("main", 0)
	behind, copied := f.twin("main", 1)
	split := behind.Count == 2 || copied == 0
	path := over(end)
	whole := path.Length()
	w, h := size(main)
	at, from := h/2, 0.0
	if split {
		at, from = 0, whole/2
	}
	hinge := stand(main, 0, lying)
	hinge.Own.Y = at
	front := f.bent(main, 0, down, bends(path, from, from+h), at, hinge, always)
	root := front.leafAt(at)
	if split {
		f.bent(behind, copied, down, bends(path, whole/2, whole), 0, hang(root, Axis{X: w / 2}, Axis{X: w / 2}, 0),
			always)
	}
	f.hung("end", 0, hang(root, on(path, whole/2), Axis{0, at, -quarter}, quarter))
	f.hung("end", 1, hang(root, on(path, whole/2), Axis{w, at, quarter}, quarter))
}

// foldBandHood is a band over the top, from left to right, and a face in front and behind.
func foldBandHood(f *Folder) {
	band := f.pieces["band"]
	face, _ := f.twin("face", 0)
	path := over(face)
	whole := path.Length()
	w, h := size(band)
	ring := f.bent(band, 0, down, bends(path, 0, h), h/2, stand(band, -quarter, lying), always)
	root := ring.leafAt(h / 2)
	f.hung("face", 0, hang(root, on(path, whole/2), Axis{w, h / 2, quarter}, quarter))
	f.hung("face", 1, hang(root, on(path, whole/2), Axis{0, h / 2, -quarter}, quarter))
}

// foldSkirtHood is a top with four walls, or with one in a ring.
func foldSkirtHood(f *Folder) {
	top := f.pieces["top"]
	wall, _ := f.twin("wall", 0)
	root := f.flat(top, 0, stand(top, 0, lying))
	if side, _ := f.twin("wall.side", 0); side.Name == "" {
		line := round(top)
		long, _ := size(wall)
		f.bent(wall, 0, across, ringBends(line, 0, long, true), long/2,
			hang(root, Axis{X: long / 2}, on(line, line.Length()/2), quarter), always)
		return
	}
	for _, one := range []struct {
		wall  string
		which int
		at    cover.Edge
	}{{"wall", 0, cover.Bottom}, {"wall", 1, cover.Top},
		{"wall.side", 0, cover.Left}, {"wall.side", 1, cover.Right}} {
		p, copied := f.twin(one.wall, one.which)
		f.flat(p, copied, hang(root, edge(p, cover.Top, 0.5), edge(top, one.at, 0.5), quarter))
	}
}
