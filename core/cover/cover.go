// Package cover knows which pieces a cover has, how large each is finished, how
// its corners are shaped, what each edge has beyond its line, and which edges are
// joined: from the object measured, what sticks out, the ease and the shrinkage
// planned for.
//
// A kind of cover is one value in Kinds, made in a file of its own.
package cover

import (
	"fmt"
	"strings"

	"umschlag/core/finding"
	"umschlag/core/kind"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// Allowance is what an edge has beyond its seam or fold line. A bound edge has
// none.
type Allowance struct {
	Kind  sum.Kind
	Name  string
	Width length.Length
}

// Edges are the four edges of a piece as it stands.
type Edges struct{ Left, Right, Top, Bottom Allowance }

// Piece is one piece of the cover as it finishes.
type Piece struct {
	// Name is unique in the cover; Config is the name the plan decides it under.
	Name, Config string
	// Title as a maker reads it.
	Title string
	// Count of pieces alike in one cover.
	Count int
	// Finished size, from the object to the seam line.
	Finished sum.Size
	Edges    Edges
	// Radii of its corners on the seam line.
	Radii outline.Radii
	// Taper is how far its corners are drawn in on the seam line, both ways.
	Taper length.Length
	// Strip marks a long strip: it may be cut along the cloth where the print allows
	// it, and joined from shorter ones.
	Strip bool
	// Had marks a piece that is cut already.
	Had bool
	// Over marks a piece that goes up one side and down the other, where a print with
	// a direction turns upside down.
	Over bool
	// Upright says what lets such a print stand upright on it, at a path of the plan; empty where only
	// another cloth does.
	Upright, UprightAt string
}

// Join is a seam between two pieces: the way along it on either side.
type Join struct {
	Title string
	// Laid says how the pieces are laid together where it is not right sides
	// together; empty for the usual way.
	Laid    string
	Between [2]string
	Lengths [2]sum.Sum
	// Count of such seams in one cover.
	Count int
	// Gap is the stretch of the last of them that stays open to turn the cover
	// through, 0 where none has to.
	Gap length.Length
	// Runs are where the seam lies on either piece; several where one piece has it
	// more than once.
	Runs [2][]Run
	// Piped is the way along the seam that piping goes, 0 where it does not belong; once
	// for each of Count, and closed where it meets itself.
	Piped  length.Length
	Closed bool
	// Judged tells that what its sides differ by is found already.
	Judged bool
	// Folded tells that its edges are folded under or caught in a later seam, so that
	// there is nothing to finish inside.
	Folded bool
	// Starts says, for each run of the first, where on the second's seam it begins;
	// absent: at its beginning.
	Starts []length.Length
	// Sides are what its pieces are called in the title where one of them is told apart from its twin, and Tail what
	// stands behind them; absent: by their own titles.
	Sides [2]string
	Tail  string
	// Whole tells that two of the first piece lie in each of its seams, one after the other, and Also is the second of
	// them where they are told apart.
	Whole bool
	Also  string
	// Each says, for each of Count such seams, which of two pieces alike meet in it, and by which of
	// their runs; absent: both in turn.
	Each []Meeting
}

// Meeting is one of several seams alike: the copy of either piece, from 0, and the run of it.
type Meeting struct{ Copy, Run [2]int }

// Seats name the join by the edges it joins: what is sewn to what.
func (j Join) Seats() [2]ref.Seat {
	var out [2]ref.Seat
	for side, runs := range j.Runs {
		var edges []string
		for _, run := range runs {
			words := make([]string, len(run))
			for i, e := range run {
				words[i] = string(e)
			}
			edges = append(edges, strings.Join(words, "+"))
		}
		out[side] = ref.Seat{Piece: j.Between[side], Edges: strings.Join(edges, "|")}
	}
	return out
}

// Start is where run i of the first piece begins on the second's seam.
func (j Join) Start(i int) length.Length {
	if i >= len(j.Starts) {
		return 0
	}
	return j.Starts[i]
}

// Spot is a piece where it stands in the net, with the quarter turns, clockwise,
// that bring its seam to its neighbour's.
type Spot struct {
	Piece    string
	Quarters int
	// Second is the second of two pieces alike.
	Second bool
}

// Net lays the pieces as they join: rows of columns, each column a stack from the
// top. Columns stand centred beside each other and pieces centred in their column.
type Net [][][]Spot

// Cover is a cover's pieces and the seams between them, in sewing order.
type Cover struct {
	Pieces []Piece
	Joins  []Join
	Net    Net
	// Zip is the length of the zip, empty without.
	Zip sum.Sum
	// ByBack tells that the second of its two pieces is a back that closes it, cut to the first as that came
	// out, and Doubled that two faces are sewn to each other, so that an edge goes through both.
	ByBack, Doubled bool
}

// upright are pieces that stand as they are, one below the other.
func upright(names ...string) []Spot {
	var out []Spot
	for _, n := range names {
		out = append(out, Spot{Piece: n})
	}
	return out
}

// turned is a piece by itself, turned by quarters.
func turned(name string, quarters int) []Spot { return []Spot{{Piece: name, Quarters: quarters}} }

// second are the second ones of pieces alike.
func second(spots []Spot) []Spot {
	for i := range spots {
		spots[i].Second = true
	}
	return spots
}

// Trimmed is the size of a piece whose face finishes as given, with what its
// edges have beyond their lines.
func (p Piece) Trimmed(finished sum.Size) sum.Size {
	return sum.Size{
		Width:  between(p.Edges.Left, finished.Width, p.Edges.Right),
		Height: between(p.Edges.Top, finished.Height, p.Edges.Bottom),
	}
}

func between(first Allowance, s sum.Sum, last Allowance) sum.Sum {
	return sum.Sum{}.Plus(first.Kind, first.Name, first.Width).Then(s).Plus(last.Kind, last.Name, last.Width)
}

// Even reports whether every edge has the same seam allowance.
func (p Piece) Even() bool {
	e := p.Edges
	return e.Left == e.Right && e.Left == e.Top && e.Left == e.Bottom && e.Left.Kind == sum.Seam
}

// Shaped reports whether a corner of the piece is rounded or drawn in, so that it
// is no rectangle.
func (p Piece) Shaped() bool { return !p.Radii.Square() || p.Taper != 0 }

// Pieced is the piece as a face of patches has it: patches and borders are cut with
// a seam all round, and what that is beyond an edge with less is trimmed off. ok is
// false where an edge has more.
func (p Piece) Pieced(seam length.Length) (pieced Piece, ok bool) {
	for _, e := range []*Allowance{&p.Edges.Left, &p.Edges.Right, &p.Edges.Top, &p.Edges.Bottom} {
		if e.Kind == sum.Seam {
			continue
		}
		if e.Width > seam {
			return p, false
		}
		*e = Allowance{Kind: sum.Squaring, Name: "cut with a seam, trimmed at the open edge", Width: seam}
	}
	return p, true
}

// Line is the finished outline.
func (p Piece) Line() outline.Outline {
	if p.Taper > 0 {
		return outline.Tapered(p.Finished.Width.Total(), p.Finished.Height.Total(), p.Taper)
	}
	return outline.Rounded(p.Finished.Width.Total(), p.Finished.Height.Total(), p.Radii)
}

// Cut is the outline with what the edges have beyond their lines.
func (p Piece) Cut() outline.Outline {
	line := p.Line()
	each := make([]float64, len(line))
	for i, v := range line {
		edge := edgeOf(line, i)
		if v.Bulge != 0 {
			edge = Top // a rounded corner is as wide as the edge over it
		}
		each[i] = p.beyond(edge).Float()
	}
	return line.OffsetEach(each)
}

// Oversize is the rectangle a piece is cut to that is trimmed to its outline later,
// with more on its upright sides and on the level ones.
func (p Piece) Oversize(across, up length.Length) outline.Outline {
	whole := Piece{Finished: p.Finished}
	for _, e := range []struct {
		to, from *Allowance
		more     length.Length
	}{{&whole.Edges.Left, &p.Edges.Left, across}, {&whole.Edges.Right, &p.Edges.Right, across},
		{&whole.Edges.Top, &p.Edges.Top, up}, {&whole.Edges.Bottom, &p.Edges.Bottom, up}} {
		e.to.Width = e.from.Width + e.more
	}
	return whole.Cut()
}

// beyond is how far the sides along an edge move.
func (p Piece) beyond(edge Edge) length.Length {
	switch edge {
	case Left:
		return p.Edges.Left.Width
	case Right:
		return p.Edges.Right.Width
	case Top:
		return p.Edges.Top.Width
	default:
		return p.Edges.Bottom.Width
	}
}

// Kind is what differs from cover to cover.
type Kind struct {
	// Slots are the pieces that a settled plan decides about, whatever sizes come out.
	Slots func(plan.Plan) []Slot
	// Build makes the pieces and the joins of a settled plan.
	Build func(plan.Plan) (Cover, finding.List)
}

// Kinds are the kinds of covers, by their words in the plan.
var Kinds kind.Set[Kind]

func init() {
	Kinds.Add("cushion", Kind{Slots: slots["cushion"], Build: cushion})
	Kinds.Add("boxed-cushion", Kind{Slots: slots["boxed-cushion"], Build: boxedCushion})
	Kinds.Add("wrap-hood", Kind{Slots: slots["wrap-hood"], Build: wrapHood})
	Kinds.Add("band-hood", Kind{Slots: slots["band-hood"], Build: bandHood})
	Kinds.Add("skirt-hood", Kind{Slots: slots["skirt-hood"], Build: skirtHood})
	Kinds.Add("jacket", Kind{Slots: slots["jacket"], Build: jacket})
	Kinds.Add("pad", Kind{Slots: slots["pad"], Build: pad})
}

// Pieces are the pieces of the planned cover and their joins. A cover that cannot
// be built gives none and says why.
func Pieces(p plan.Plan) (Cover, finding.List) {
	k, ok := Kinds.Of(string(p.Cover.Kind))
	if !ok {
		var found finding.List
		found.Add(finding.Stop, "cover-kind", "/cover/kind", fmt.Sprintf("%q is no kind of cover.", p.Cover.Kind),
			"Choose a cushion, a hood, a jacket or a seat pad.")
		return Cover{}, found
	}
	found := unreckoned(p)
	if found.Stopped() {
		return Cover{}, found
	}
	c, more := k.Build(p)
	return c.apart(Slots(p)), append(found, more...)
}

// unreckoned names what a plan carries that would change its pieces and is not
// computed.
func unreckoned(p plan.Plan) finding.List {
	var found finding.List
	if p.Cover.Flange != 0 && !p.Cover.Rules().ByBack {
		found.Add(finding.Stop, "flange", "/cover/flange",
			fmt.Sprintf("A flange stands round a cushion; a %s has none.", p.Cover.Kind), "Set the flange to 0.")
	}
	if p.Edges.Binding != nil && p.Object.Kind != plan.Box {
		found.Add(finding.Stop, "binding", "/edges/binding",
			fmt.Sprintf("A %s is turned or closed all round and has no open edge to bind.", p.Cover.Kind),
			"Remove the binding; piping suits its seam.")
	}
	return found
}

// seamed is a seam allowance at an edge.
func seamed(s length.Length) Allowance {
	return Allowance{Kind: sum.Seam, Name: "seam allowance", Width: s}
}

// round is the same seam allowance at every edge.
func round(s length.Length) Edges {
	a := seamed(s)
	return Edges{Left: a, Right: a, Top: a, Bottom: a}
}
