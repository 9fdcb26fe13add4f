// Package cutting is the list of all that is cut for a cover: faces, what lies under them, the back,
// edges, fittings, shapes. A size that is ticked off stays as it was cut.
package cutting

import (
	"fmt"

	"umschlag/core/finding"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// Layers of a stack, as cuts name them.
const (
	Outer       = "outer"
	Batting     = "batting"
	Lining      = "lining"
	Interfacing = "interfacing"
	Web         = "web"
)

// Cut is one shape to be cut.
type Cut struct {
	// About is what it is; ID is that, printed.
	About ref.About
	ID    string
	// Piece it belongs to, and Part and Title as they are said to people.
	Piece, Part, Title string
	// Layer it lies in, Outer where none is named, and the letter of its cloth.
	Layer, Cloth string
	// At is where the plan decides about it, Waits the gate it follows; empty when it can be cut now.
	At, Waits string
	// Shape it has where its size does not tell.
	Shape string
	Size  sum.Size
	// Count is how many there are in one cover, Total how many are cut for all copies, those that
	// were spoiled once more.
	Count, Total, Spoiled int
	// MayTurn by a quarter where its cloth may.
	MayTurn bool
	// Centred has its middle on a motif, or a place so far from it as Off says, every second one as far the other way
	// where they are Opposite; Selvedge has an edge on a selvedge.
	Centred  bool
	Off      lay.Offset
	Opposite bool
	Selvedge bool
	// Late is when it is cut; it stays so when that was measured, or the lay would jump. Keep is what is
	// set aside for it until then.
	Late When
	Keep lay.Size
	// LaidOn marks a shape, or the web for one; Had one that is cut already and takes no cloth; Done
	// what is ticked off.
	LaidOn, Had, Done bool
	// Gives is how many patches one piece gives, Patches how many of them are needed, and Finished what
	// one finishes as.
	Gives, Patches int
	// Sewn is how many patches are in units that are sewn already, and Over how many more all pieces give than all
	// copies need besides.
	Sewn, Over int
	// Whole is how many of the pieces stay whole until they are sewn to each other in pairs.
	Whole    int
	Finished string
	// Line is the outline of a template.
	Line outline.Outline
	// Path is the outline of a shape that is laid on, as SVG path data in millimetres, and Inset how far
	// within the piece it lies; one that is fused is drawn mirrored.
	Path  string
	Inset length.Length
}

// When is when something is cut: at once, or when something is measured.
type When int

// The measurements that cuts wait for, in their order.
const (
	Now When = iota
	AtCentre
	AtFront
)

// List is what is cut for a settled plan, stage by stage. What is found on the way is added to Found.
type List struct {
	Plan  plan.Plan
	Cuts  []Cut
	Found *finding.List
	// Units that blocks are sewn from, and the rest of those that are sewn already.
	Units []Units
	rest  []rest
}

// New is the list of a settled plan before anything is on it.
func New(p plan.Plan, found *finding.List) *List {
	l := &List{Plan: p, Found: found}
	readMade(l)
	return l
}

// Add puts a shape on the list and returns its id.
func (l *List) Add(c Cut) string {
	c.ID = c.About.Ref(ref.Cut).String()
	if c.Layer == "" {
		c.Layer = Outer
	}
	c.Size = l.asCut(c)
	w, h := c.Size.Width.Total(), c.Size.Height.Total()
	c.Spoiled = l.Plan.Progress.Spoiled[c.ID]
	_, ticked := l.Plan.Progress.Cut[c.ID]
	c.Total, c.Done = l.pooled(&c)+c.Spoiled, c.Had || ticked
	switch {
	case c.Shape != "":
	case w == h:
		c.Shape = "square"
	default:
		c.Shape = "rectangle"
	}
	l.Cuts = append(l.Cuts, c)
	return c.ID
}

// pooled is how many of a cut are made for all copies. Pieces that give several patches are cut for all of them
// together, and what that gives more is Over.
func (l *List) pooled(c *Cut) int {
	if c.Gives < 2 || c.Patches == 0 {
		return c.Count*l.Plan.Copies - c.Sewn
	}
	all := c.Patches*l.Plan.Copies - c.Sewn
	c.Count = pieces(c.Patches, c.Gives)
	total := pieces(all, c.Gives)
	c.Over = total*c.Gives - all
	return total
}

// pieces is how many give so many patches.
func pieces(patches, gives int) int { return (patches + gives - 1) / gives }

// asCut is the size of a cut: one that is ticked off stays as it was cut, whatever was
// measured or changed since, and what that means is said.
func (l *List) asCut(c Cut) sum.Size {
	was := l.Plan.Progress.Cut[c.ID]
	if was.Width == 0 || was.Height == 0 { // not ticked off, or nobody wrote it down
		return c.Size
	}
	now := plan.Sized{Width: c.Size.Width.Total(), Height: c.Size.Height.Total()}
	if now == (plan.Sized{Width: was.Width, Height: was.Height}) {
		return c.Size
	}
	text := l.Plan.Style().Text
	l.Found.Add(finding.Warn, "cut-stays", c.At,
		fmt.Sprintf("%s is cut already, %s × %s; as things are it would be %s × %s.", c.Title, text(was.Width),
			text(was.Height), text(now.Width), text(now.Height)),
		"Where it is larger, trim it when it is sewn; where it is smaller, take the difference up at the next measuring step, or cut another one and untick this.")
	return sum.Size{Width: sum.Of(sum.Measured, "as it was cut", was.Width),
		Height: sum.Of(sum.Measured, "as it was cut", was.Height)}
}

// Strips adds a long strip to the list: in one, or joined from equal shorter ones
// where it is longer than its cloth is wide. Each join takes a seam from both its
// sides, 0 where edges are only butted. It returns the id and how many there are.
func (l *List) Strips(may bool, seam length.Length, c Cut) (id string, n int) {
	cloth, _ := l.Plan.Cloth(c.Cloth)
	step, text := l.Plan.Habits.Step, l.Plan.Style().Text
	whole, usable := c.Size.Width.Total(), *cloth.Usable
	if !may || whole <= usable || usable <= 4*seam || c.Had {
		return l.Add(c), 1
	}
	n = joined(whole, seam, usable.Floor(step))
	if c.Keep != (lay.Size{}) { // each may come out as much longer as the whole
		c.Keep.Width += each(whole, seam, n) - whole
	}
	c.Size.Width = sum.Of(sum.Part, fmt.Sprintf("a %s of %s", share[min(n, len(share)-1)], text(whole)), whole.Div(n)).
		Plus(sum.Seam, "share of the seams between them", each(whole, seam, n)-whole.Div(n)).UpTo(step)
	how, remedy := "joined", "Put the joins where they show least; a wider fabric needs fewer."
	if seam == 0 {
		how, remedy = "butted", "Zigzag the edges to each other, not over each other."
	}
	l.Found.Add(finding.Note, "strip-"+how, c.At,
		fmt.Sprintf("%s is %s long and %s has %s between its selvedges: it is %s from %d strips of %s.", c.Title,
			text(whole), cloth.Name, text(usable), how, n, text(c.Size.Width.Total())),
		remedy)
	c.Title = fmt.Sprintf("%s, %s from %d", c.Title, how, n)
	if c.Centred && matched(l.Plan, c.Cloth) {
		c.Centred = false
		unmatched(l, c, "is joined", "Choose a wider fabric for it.")
	}
	c.Count *= n
	return l.Add(c), n
}

// joined is of how many strips, two at least, one is made that is longer than a cloth is wide.
func joined(whole, seam, usable length.Length) int {
	n := 2
	for each(whole, seam, n) > usable {
		n++
	}
	return n
}

// each is one of n strips that make up a whole with seams between them.
func each(whole, seam length.Length, n int) length.Length {
	return (whole + (2 * seam).Times(n-1)).Div(n)
}

// share names what one of n equal parts is.
var share = []string{"", "", "half", "third", "quarter", "fifth", "sixth", "part"}

// Item is what a lay has to know of the cut at a place of the list.
func (l *List) Item(i int) lay.Item {
	c := l.Cuts[i]
	described, _ := l.Plan.Cloth(c.Cloth)
	return lay.Item{Cut: i, Width: c.Size.Width.Total(), Height: c.Size.Height.Total(), Count: c.Total,
		MayTurn: c.MayTurn && !c.Centred && !c.Selvedge && described.Turns(), Centred: c.Centred, Off: c.Off,
		Opposite: c.Opposite, Selvedge: c.Selvedge,
		Late: int(c.Late), Keep: c.Keep, Known: c.Waits == "" || c.Done}
}

// Of is what is cut from the cloth of a letter, as a lay takes it.
func (l *List) Of(letter string) []lay.Item {
	var out []lay.Item
	for i, c := range l.Cuts {
		if c.Cloth == letter && !c.Had {
			out = append(out, l.Item(i))
		}
	}
	return out
}
