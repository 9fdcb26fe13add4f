// Package fold knows how the flat pieces of a cover become the closed one: a tree of flat
// leaves, each turning about an axis on the leaf it hangs on.
//
// A piece that bends is cut into leaves across the bend; a rounded corner becomes many
// narrow ones. Lengths are nanometres in floating point. On a piece x goes right and y
// goes down, as pieces are drawn with their right side up, and z goes to the inside of the
// cover: the frame is right-handed.
package fold

import (
	"math"

	"umschlag/core/outline"
)

// Axis is a point of a piece and a direction there, in radians from x to y. What turns
// about it lies on its right, as drawn.
type Axis struct{ X, Y, Angle float64 }

// reversed is the same axis seen from the other side of it.
func (a Axis) reversed() Axis { return Axis{a.X, a.Y, a.Angle + math.Pi} }

// Hinge is how a leaf hangs on another.
type Hinge struct {
	// Parent is the leaf it hangs on, -1 for the one that everything hangs on.
	Parent int
	// Own is the axis on its own piece, On the same axis on the piece of its parent.
	Own, On Axis
	// Turn to the inside when the cover is closed, in radians.
	Turn float64
	// From and To are the share of the folding in which it turns, 0 to 1.
	From, To float64
}

// Leaf is a part of a piece that stays flat.
type Leaf struct {
	Piece string
	// Copy tells pieces alike from each other, from 0.
	Copy  int
	Hinge Hinge
	// Points of the leaf on its piece, Triangles over them, clockwise as drawn.
	Points    [][2]float64
	Triangles [][3]int
	// Lifts are what filling moves the points by, right, down and to the inside; absent
	// where it moves none.
	Lifts [][3]float64
}

// Solid is a box with its sides along the axes of the closed cover.
type Solid struct {
	// Kind: box, out for what sticks out of it, board, pages.
	Kind     string
	Min, Max [3]float64
}

// Fold is a cover between flat and closed.
type Fold struct {
	// Leaves in an order in which each comes after the one it hangs on.
	Leaves []Leaf
	// Solids are the object inside the closed cover.
	Solids []Solid
	// Inside is what the closed cover leaves room for, an axis each.
	Inside []Inside
}

// Pose brings points of a leaf to where they are.
type Pose struct {
	turn  [3][3]float64
	shift [3]float64
}

// identity leaves points where they are.
var identity = Pose{turn: [3][3]float64{{1, 0, 0}, {0, 1, 0}, {0, 0, 1}}}

// At is where a point of the leaf is.
func (p Pose) At(v [3]float64) [3]float64 {
	var out [3]float64
	for i := range 3 {
		out[i] = p.turn[i][0]*v[0] + p.turn[i][1]*v[1] + p.turn[i][2]*v[2] + p.shift[i]
	}
	return out
}

// after is q first and then p.
func (p Pose) after(q Pose) Pose {
	var out Pose
	for i := range 3 {
		for j := range 3 {
			for k := range 3 {
				out.turn[i][j] += p.turn[i][k] * q.turn[k][j]
			}
		}
	}
	out.shift = p.At(q.shift)
	return out
}

// flat brings the frame of a leaf's piece beside that of its parent's, both lying flat.
func (h Hinge) flat() Pose {
	sin, cos := math.Sincos(h.On.Angle - h.Own.Angle)
	return Pose{turn: [3][3]float64{{cos, -sin, 0}, {sin, cos, 0}, {0, 0, 1}},
		shift: [3]float64{h.On.X - cos*h.Own.X + sin*h.Own.Y, h.On.Y - sin*h.Own.X - cos*h.Own.Y, 0}}
}

// about turns about the axis on the parent, to the inside.
func (h Hinge) about(angle float64) Pose {
	dy, dx := math.Sincos(h.On.Angle)
	sin, cos := math.Sincos(angle)
	rest := 1 - cos
	p := Pose{turn: [3][3]float64{
		{cos + dx*dx*rest, dx * dy * rest, dy * sin},
		{dx * dy * rest, cos + dy*dy*rest, -dx * sin},
		{-dy * sin, dx * sin, cos},
	}}
	at := p.At([3]float64{h.On.X, h.On.Y, 0})
	p.shift = [3]float64{h.On.X - at[0], h.On.Y - at[1], -at[2]}
	return p
}

// turned is how far the hinge is turned at a share of the folding.
func (h Hinge) turned(share float64) float64 {
	return h.Turn * math.Max(0, math.Min(1, (share-h.From)/(h.To-h.From)))
}

// Poses are where the leaves are at a share of the folding: 0 is flat, 1 is closed.
func (f Fold) Poses(share float64) []Pose {
	out := make([]Pose, len(f.Leaves))
	for i, leaf := range f.Leaves {
		parent := identity
		if leaf.Hinge.Parent >= 0 {
			parent = out[leaf.Hinge.Parent]
		}
		out[i] = parent.after(leaf.Hinge.about(leaf.Hinge.turned(share))).after(leaf.Hinge.flat())
	}
	return out
}

// Reach is the box round all points at a share of the folding, nothing filled.
func (f Fold) Reach(share float64) (least, most [3]float64) {
	least, most = [3]float64{math.Inf(1), math.Inf(1), math.Inf(1)}, [3]float64{math.Inf(-1), math.Inf(-1),
		math.Inf(-1)}
	for i, pose := range f.Poses(share) {
		for _, p := range f.Leaves[i].Points {
			at := pose.At([3]float64{p[0], p[1], 0})
			for k := range 3 {
				least[k], most[k] = math.Min(least[k], at[k]), math.Max(most[k], at[k])
			}
		}
	}
	return least, most
}

// polygon is an outline with its arcs as chords, none farther from its arc than nearly.
func polygon(line outline.Outline) [][2]float64 {
	n := 1
	for i, v := range line {
		if v.Bulge != 0 {
			s := line.Stretch(i, 1)
			n = max(n, parts(s.Length(), 4*math.Atan(v.Bulge)))
		}
	}
	return line.Points(n)
}

// nearly is how far, in nanometres, a bend in leaves may be from the true curve.
const nearly = 4_000

// parts is into how many leaves a bend of a length and an angle is cut, an odd number:
// one of them then lies straight across its middle.
func parts(long, turn float64) int {
	turn = math.Abs(turn)
	if turn == 0 || long == 0 {
		return 1
	}
	radius := long / turn
	each := math.Sqrt(24 * nearly / radius)
	return int(math.Ceil(turn/each)) | 1
}
