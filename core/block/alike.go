package block

import (
	"fmt"
	"slices"
	"strings"

	"umschlag/core/length"
)

// Alike is what units of single patches are known by, whichever way they are turned.
type Alike struct {
	// Cells is the unit as a block is written, by letters of its own from A; Cloths are what they stand for.
	Cells  string
	Cloths []string
	// Width and Height over all, as they stand in Cells.
	Width, Height length.Length
}

// alikeAs is the sign a unit is written by that was turned until it comes first.
var alikeAs = map[Sign]Sign{Columns: Columns, Rows: Columns, Rising: Rising, Falling: Rising, Cross: Cross, Up: Up,
	Down: Up, Left: Up, Right: Up, Diamond: Diamond}

// Alike is what a unit is known by; cloth is what a letter stands for. Divisions within divisions and halves of
// triangles have no such name, and ok is false.
//
// Source: the turns of a rectangle by quarters. A rectangle divided from corner to corner comes, turned, to one that
// is divided the other way only where it stands instead of lying: of one size they are each other's mirror image.
func (u Unit) Alike(cloth func(letter string) string) (a Alike, ok bool) {
	n := u.Node
	sign, known := alikeAs[n.Sign]
	if !n.Leaves() || !known {
		return a, false
	}
	parts := make([]share, len(n.Parts))
	for i, p := range n.Parts {
		parts[i] = share{cloth(p.Letter), n.Weights[i]}
	}
	w, h := u.Width, u.Height
	switch n.Sign {
	case Rows, Left, Right:
		w, h = h, w
	case Falling:
		if (w - h).Abs() < length.Length(near) {
			break
		}
		w, h = h, w
	case Cross:
		if w > h+length.Length(near) {
			w, h, parts = h, w, append(slices.Clone(parts[1:]), parts[0])
		}
	case Diamond:
		w, h = min(w, h), max(w, h)
	}
	a.Width, a.Height = w, h
	a.Cells, a.Cloths = written(sign, first(sign, parts, (w-h).Abs() < length.Length(near)))
	return a, true
}

// share is a part of a unit: the cloth it is of, and its weight.
type share struct {
	cloth  string
	weight int
}

// first are the parts of a unit as they come first of all turns that leave its sign and its size as they are.
func first(sign Sign, parts []share, square bool) []share {
	turned := [][]share{parts}
	switch sign {
	case Columns, Rising:
		back := slices.Clone(parts)
		slices.Reverse(back)
		turned = append(turned, back)
	case Cross:
		step := 2
		if square {
			step = 1
		}
		for i := step; i < len(parts); i += step {
			turned = append(turned, append(slices.Clone(parts[i:]), parts[:i]...))
		}
	}
	return slices.MinFunc(turned, func(a, b []share) int {
		return slices.CompareFunc(a, b, func(p, q share) int {
			if d := strings.Compare(p.cloth, q.cloth); d != 0 {
				return d
			}
			return p.weight - q.weight
		})
	})
}

// written is a unit by letters from A, and the cloths that they stand for.
func written(sign Sign, parts []share) (cells string, cloths []string) {
	n := Node{Sign: sign}
	for _, p := range parts {
		i := slices.Index(cloths, p.cloth)
		if i < 0 {
			i = len(cloths)
			cloths = append(cloths, p.cloth)
		}
		n.Parts = append(n.Parts, Node{Letter: string(rune('A' + i))})
		n.Weights = append(n.Weights, p.weight)
	}
	return n.String(), cloths
}

// Is reports whether two units are the same to within what rounding of outlines makes of them.
func (a Alike) Is(b Alike) bool {
	return a.Cells == b.Cells && slices.Equal(a.Cloths, b.Cloths) &&
		(a.Width-b.Width).Abs() < sameSize && (a.Height-b.Height).Abs() < sameSize
}

// sameSize is far below what is cut and far above what rounding makes.
const sameSize = length.Millimetre / 100

// ReadAlike is what a unit is known by that is written by letters of its own, with what they stand for. The error says
// what cannot be kept so.
func ReadAlike(cells string, cloths []string, width, height length.Length) (Alike, error) {
	n, err := Parse(cells)
	if err != nil {
		return Alike{}, err
	}
	letters := n.Letters()
	if len(letters) != len(cloths) {
		return Alike{}, fmt.Errorf("it is written with %d letters and names %d fabrics", len(letters), len(cloths))
	}
	a, ok := Unit{Node: n, Width: width, Height: height}.Alike(func(letter string) string {
		return cloths[slices.Index(letters, letter)]
	})
	if !ok {
		return Alike{}, fmt.Errorf("%s is no unit of single patches", cells)
	}
	return a, nil
}

// Named is what so many units alike are called.
func (a Alike) Named(n int) string {
	node, err := Parse(a.Cells)
	if err != nil {
		return "units"
	}
	return node.Sign.Named(n, (a.Width-a.Height).Abs() < sameSize)
}

// named are what units are called, one and several, by the sign that divides them.
var named = map[Sign][2]string{Columns: {"pair", "pairs"}, Rows: {"column", "columns"},
	Rising:  {"half-square triangle", "half-square triangles"},
	Falling: {"half-square triangle", "half-square triangles"},
	Cross:   {"quarter-square triangle", "quarter-square triangles"}, Up: {"flying goose", "flying geese"},
	Down: {"flying goose", "flying geese"}, Left: {"flying goose", "flying geese"},
	Right:   {"flying goose", "flying geese"},
	Diamond: {"square-in-a-square unit", "square-in-a-square units"}, Halved: {"split triangle", "split triangles"}}

// Named is what so many units are called that a sign divides, squares or other rectangles.
func (s Sign) Named(n int, square bool) string {
	names := named[s]
	if (s == Rising || s == Falling) && !square {
		names = [2]string{"half-rectangle triangle", "half-rectangle triangles"}
	}
	if n == 1 {
		return names[0]
	}
	return names[1]
}
