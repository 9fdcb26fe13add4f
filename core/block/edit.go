package block

import (
	"fmt"
	"strconv"
	"strings"

	"umschlag/core/outline"
)

// LeafAt is one patch of a block with the way to it through the divisions.
type LeafAt struct {
	// Path of part numbers from 0, joined by points; empty for a block of one patch. A
	// part that stands for several corners has one path.
	Path   string
	Letter string
	Line   outline.Outline
	// Triangle tells what it can be divided into.
	Triangle bool
	// Share it has of its columns or rows; 0 where it stands in none.
	Share int
}

// LeavesAt are the patches of a square block of a size, with their paths.
func (n Node) LeavesAt(size float64) ([]LeafAt, error) {
	var out []LeafAt
	err := n.leavesAt([]point{{0, 0}, {size, 0}, {size, size}, {0, size}}, "", 0, &out)
	return out, err
}

func (n Node) leavesAt(shape []point, path string, share int, out *[]LeafAt) error {
	if n.Sign == Leaf {
		leaf := LeafAt{Path: path, Letter: n.Letter, Triangle: len(shape) == 3, Share: share}
		for _, p := range shape {
			leaf.Line = append(leaf.Line, outline.Vertex{X: p.x, Y: p.y})
		}
		*out = append(*out, leaf)
		return nil
	}
	shapes, err := n.shapes(shape)
	if err != nil {
		return err
	}
	for i, s := range shapes {
		part := min(i, len(n.Parts)-1)
		share := 0
		if n.Sign == Columns || n.Sign == Rows {
			share = n.Weights[part]
		}
		if err := n.Parts[part].leavesAt(s, below(path, part), share, out); err != nil {
			return err
		}
	}
	return nil
}

func below(path string, part int) string {
	if path == "" {
		return strconv.Itoa(part)
	}
	return path + "." + strconv.Itoa(part)
}

// Divided is the block with the patch at a path divided by a sign: into as many parts as
// the sign takes, or count columns or rows. Its letter stays in the first part, the
// others have the next one.
func (n Node) Divided(path string, sign Sign, count int, next string) (Node, error) {
	want, known := parts[sign]
	if !known {
		return n, &SyntaxError{Text: fmt.Sprintf("%q divides nothing: type one of | - / \\ x ^ v < > o :",
			string(rune(sign)))}
	}
	if want == 0 {
		want = count
	}
	if want < 2 || want > mostParts {
		return n, &SyntaxError{Text: fmt.Sprintf("divide into 2 to %d parts", mostParts)}
	}
	return n.at(path, func(leaf Node) (Node, error) {
		if leaf.Sign != Leaf {
			return leaf, &SyntaxError{Text: "this part is divided already"}
		}
		out := Node{Sign: sign}
		for i := range want {
			letter := leaf.Letter
			if i%2 == 1 {
				letter = next
			}
			out.Parts, out.Weights = append(out.Parts, Node{Letter: letter}), append(out.Weights, 1)
		}
		return out, nil
	})
}

// Lettered is the block with another letter at a path.
func (n Node) Lettered(path, letter string) (Node, error) {
	if len(letter) != 1 || letter[0] < 'A' || letter[0] > 'Z' {
		return n, &SyntaxError{Text: "a patch has one capital letter"}
	}
	return n.at(path, func(leaf Node) (Node, error) {
		if leaf.Sign != Leaf {
			return leaf, &SyntaxError{Text: "this part is divided: give its patches their letters"}
		}
		leaf.Letter = letter
		return leaf, nil
	})
}

// Joined is the block with the division round a path made one patch again, with the
// letter of its first part.
func (n Node) Joined(path string) (Node, error) {
	if path == "" {
		return n, &SyntaxError{Text: "the block is one patch already"}
	}
	parent := ""
	if i := strings.LastIndex(path, "."); i >= 0 {
		parent = path[:i]
	}
	return n.at(parent, func(division Node) (Node, error) { return Node{Letter: division.Letters()[0]}, nil })
}

// Weighted is the block with another share for the part at a path, which stands in
// columns or rows.
func (n Node) Weighted(path string, weight int) (Node, error) {
	if weight < 1 || weight > mostWeight {
		return n, &SyntaxError{Text: fmt.Sprintf("a share is a number from 1 to %d", mostWeight)}
	}
	i := strings.LastIndex(path, ".")
	parent, last := "", path
	if i >= 0 {
		parent, last = path[:i], path[i+1:]
	}
	part, err := strconv.Atoi(last)
	if err != nil {
		return n, &SyntaxError{Text: "the whole block has no share"}
	}
	return n.at(parent, func(division Node) (Node, error) {
		if division.Sign != Columns && division.Sign != Rows {
			return division, &SyntaxError{Text: "shares belong to columns and rows only"}
		}
		if part < 0 || part >= len(division.Parts) {
			return division, errNoPart
		}
		division.Weights = append([]int(nil), division.Weights...)
		division.Weights[part] = weight
		return division, nil
	})
}

var errNoPart = &SyntaxError{Text: "the block has no such part"}

// at changes the part at a path.
func (n Node) at(path string, change func(Node) (Node, error)) (Node, error) {
	if path == "" {
		return change(n)
	}
	first, rest, _ := strings.Cut(path, ".")
	i, err := strconv.Atoi(first)
	if err != nil || i < 0 || i >= len(n.Parts) {
		return n, errNoPart
	}
	part, err := n.Parts[i].at(rest, change)
	if err != nil {
		return n, err
	}
	out := n
	out.Parts = append([]Node(nil), n.Parts...)
	out.Parts[i] = part
	return out, nil
}
