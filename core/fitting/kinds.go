package fitting

import (
	"fmt"

	"umschlag/core/caution"
	"umschlag/core/finding"
	"umschlag/core/kind"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// making are the sizes of making up. Common practice.
type making struct {
	foldUnder length.Length // turned under at the end of a strap, and boxed
	pocketHem length.Length // turned twice by half at the top of a pocket
	slitSides length.Length // the stitching runs this far beside a slit
	slitSpare length.Length // a slit's facing is larger by this, in both directions
	clear     length.Length // a fitting keeps this far off a seam line
}

var (
	imperial = making{foldUnder: length.Inch, pocketHem: length.Inch, slitSides: length.Inch / 4,
		slitSpare: 2 * length.Inch, clear: length.Inch / 4}
	metric = making{foldUnder: 25 * length.Millimetre, pocketHem: 2 * length.Centimetre,
		slitSides: 6 * length.Millimetre, slitSpare: 5 * length.Centimetre, clear: 6 * length.Millimetre}
)

func (o Order) usual() making {
	if o.Step.OnInches() {
		return imperial
	}
	return metric
}

// Made is a fitting with the sizes it is made up with.
type Made struct {
	plan.Fitting
	making
	doubled bool
	ends    plan.StrapEnds
	// Seam of the cover, and Text of a length in the plan's unit.
	Seam length.Length
	Text func(length.Length) string
}

func (o Order) made(f plan.Fitting) Made {
	return Made{Fitting: f, making: o.usual(), doubled: o.Doubled, ends: o.Ends, Seam: o.Seam, Text: o.Style.Text}
}

// Kind is what differs from fitting to fitting.
type Kind struct {
	Title string
	// Needs names the sizes that have to be given: length, width, height.
	Needs []string
	// Foot is what one of it takes up on the piece.
	Foot func(Made) (width, height length.Length)
	// Parts are what is cut for all of it; nil where it is bought.
	Parts func(Made) []Part
	// Bought adds what is bought for it; nil for nothing.
	Bought func(Made, *Fitted)
	// Lines are stitched across one of it; nil for none.
	Lines func(Made, Box) []Line
	// Judge finds sizes that do not go together, at a path; nil where all do.
	Judge func(Made, string, *finding.List)
	// Making says how it is made up before it is sewn on; nil where nothing is made up.
	Making func(Made) string
	// Fixing says how it is sewn on, and Caution what to take care of there; Hand is sewn on by hand.
	Fixing  func(Made) string
	Caution caution.Said
	Hand    bool
	// Strip tells that it is sewn from a strip folded along its length, which hangs loose until it is sewn on, and Tip
	// is what makers say when they sew it on; empty for nothing.
	Strip bool
	Tip   string
	// Round ones are drawn as circles. Through tells that the piece is cut through, so that nothing may
	// lie on it.
	Round, Through bool
}

// Cautions of what is sewn on.
var (
	strapCaution  = caution.Of("Straps", "A padded strap is no restraint and replaces no harness. Keep straps and loops short where small children are, and follow local rules for cords and small parts.")
	buttonCaution = caution.Of("Buttons", "Buttons come off and can be swallowed: nothing is sewn on for babies and small children. Follow local rules for small parts.")
)

// aroundTip is said of what goes round something.
const aroundTip = "Try it round what it goes round, in its place, before you sew."

// Kinds are the kinds of fittings, by their words in the plan.
var Kinds kind.Set[Kind]

func init() {
	Kinds.Add("handle", Kind{Title: "Handle", Needs: []string{"length", "width"}, Foot: boxed, Parts: strip,
		Lines: cross, Judge: reach, Making: tube, Fixing: boxStitch, Caution: strapCaution, Strip: true,
		Tip: "Pin both ends on their marks and try a hand under it before you sew: it stands up in an arch."})
	Kinds.Add("strap", Kind{Title: "Strap", Needs: []string{"length", "width"}, Foot: boxed, Parts: strips,
		Bought: hookAndLoop, Lines: cross, Judge: pair, Making: tube, Fixing: turnedStrap, Caution: strapCaution,
		Strip: true, Tip: aroundTip})
	Kinds.Add("belt", Kind{Title: "Belt", Needs: []string{"length", "width"}, Foot: boxed, Parts: strips,
		Bought: hookAndLoop, Lines: cross, Judge: pair, Making: tube, Fixing: turnedStrap, Caution: strapCaution,
		Strip: true, Tip: aroundTip})
	Kinds.Add("loop", Kind{Title: "Loop", Needs: []string{"length", "width"}, Foot: boxed, Parts: strip, Lines: cross,
		Making: tube, Strip: true,
		Fixing:  func(m Made) string { return "Fold it in half and catch both ends in one " + m.box() + "." },
		Caution: strapCaution})
	Kinds.Add("pocket", Kind{Title: "Pocket", Needs: []string{"width", "height"}, Foot: sized, Parts: pocket,
		Lines: slots, Judge: pens, Making: pocketMade, Fixing: pocketStitch,
		Tip: "Lay the gap it was turned through on a side that is stitched: that closes it."})
	Kinds.Add("label", Kind{Title: "Label", Needs: []string{"width", "height"}, Foot: sized, Parts: patch,
		Fixing: func(Made) string { return "Press the edges under and stitch all round." }})
	Kinds.Add("tape", Kind{Title: "Tape", Needs: []string{"length", "width"}, Foot: lying, Bought: tape,
		Fixing: func(Made) string {
			return "Edge-stitch all round, begun in the middle of a long side and over its beginning at the end: tape is pulled."
		}, Caution: strapCaution})
	Kinds.Add("button", Kind{Title: "Button", Needs: []string{"width"}, Foot: square, Bought: buttons,
		Fixing: func(Made) string {
			return "Sew it on through a small square of firm fabric behind."
		}, Caution: buttonCaution, Hand: true, Round: true})
	Kinds.Add("slit", Kind{Title: "Slit", Needs: []string{"length"}, Foot: slit, Parts: facing, Lines: cutLine,
		Fixing: func(m Made) string {
			if m.through() {
				return fmt.Sprintf("Both faces lie right sides together: sew from the edge up one side, across and down the other, %s from the marked line. Only then cut along it, up to the stitching, through all layers.", m.Text(m.slitSides))
			}
			return fmt.Sprintf("Lay the facing right side down, sew up one side, across and down the other %s from the marked line, then cut along it, turn and press.", m.Text(m.slitSides))
		}, Through: true})
}

func boxed(m Made) (length.Length, length.Length)  { return m.Width, m.foldUnder }
func sized(m Made) (length.Length, length.Length)  { return m.Width, m.Height }
func lying(m Made) (length.Length, length.Length)  { return m.Length, m.Width }
func square(m Made) (length.Length, length.Length) { return m.Width, m.Width }
func slit(m Made) (length.Length, length.Length)   { return 2 * m.slitSides, m.Length }

// box is the stitching that holds the end of a strap.
func (m Made) box() string {
	return fmt.Sprintf("box of stitching, %s × %s, with a cross in it", m.Text(m.Width), m.Text(m.foldUnder))
}

func boxStitch(m Made) string {
	return fmt.Sprintf("Fold %s under at both ends and hold each with a %s.", m.Text(m.foldUnder), m.box())
}

func turnedStrap(m Made) string {
	end := "Close the open end with a satin stitch"
	if m.turnedIn() {
		end = fmt.Sprintf("Turn the open end in by %s and stitch across it", m.Text(m.Seam))
	}
	s := fmt.Sprintf("%s, fold %s under and hold it with a %s.", end, m.Text(m.foldUnder), m.box())
	if m.Short > 0 {
		s += fmt.Sprintf(" Sew %s of hook tape to the end of the short one and %s of loop tape to that of the long one, on the sides that will meet.", m.Text(m.Tape), m.Text(2*m.Tape))
	}
	return s
}

// strip is cut for a band that is folded along its length.
func strip(m Made) []Part {
	return []Part{m.strip("strip, folded along its length", m.Length, count(m.Fitting))}
}

// inside is what batting is cut to: nothing of it goes into a seam.
func (m Made) inside(width, height length.Length) sum.Size {
	return sum.Size{Width: sum.Of(sum.Part, "width inside", width), Height: sum.Of(sum.Part, "height inside", height)}
}

// strips are those of a pair, a long and a short one, or of all straps alike.
func strips(m Made) []Part {
	if m.Short == 0 {
		return strip(m)
	}
	return []Part{m.strip("long strip, folded along its length", m.Length, 1),
		m.strip("short strip, folded along its length", m.Short, 1)}
}

// turnedIn reports a strap that is turned through an end which is then turned in; handles
// and loops stay open at both ends, under their boxes.
func (m Made) turnedIn() bool {
	return m.ends == plan.EndsTurned && (m.Kind == "strap" || m.Kind == "belt")
}

func (m Made) strip(title string, long length.Length, n int) Part {
	width := sum.Of(sum.Part, "length", long).Plus(sum.Hem, "folded under at one end", m.foldUnder).
		Plus(sum.Hem, "folded under at the other", m.foldUnder)
	if m.turnedIn() {
		width = width.Plus(sum.Seam, "open end, turned in", m.Seam)
	}
	return Part{Title: title, Adds: ", " + title, Count: n, Inside: m.inside(long, m.Width), Size: sum.Size{
		Width: width,
		Height: sum.Of(sum.Part, "front", m.Width).Plus(sum.Part, "back", m.Width).
			Between(sum.Seam, "seam allowance", m.Seam),
	}}
}

// pocket is cut with a hem at its top, or double, its fold on top.
func pocket(m Made) []Part {
	width := sum.Of(sum.Part, "width", m.Width).Between(sum.Seam, "turned under", m.Seam)
	if m.Style == plan.FoldedPocket {
		return []Part{{Title: "pocket, folded double", Adds: ", folded double", Count: count(m.Fitting),
			Flat: true, Below: m.Height / 2,
			Inside: m.inside(m.Width, m.Height), Size: sum.Size{Width: width,
				Height: sum.Of(sum.Part, "height in front", m.Height).Plus(sum.Part, "height behind", m.Height).
					Between(sum.Seam, "seam allowance", m.Seam)}}}
	}
	return []Part{{Title: "pocket", Count: count(m.Fitting), Inside: m.inside(m.Width, m.Height),
		Flat: true, Below: (m.pocketHem - m.Seam) / 2,
		Size: sum.Size{Width: width,
			Height: sum.Of(sum.Hem, "hem at the top", m.pocketHem).Plus(sum.Part, "height", m.Height).
				Plus(sum.Seam, "turned under", m.Seam)}}}
}

// tube is how a strip becomes a strap: open at both ends where both lie under boxes, else at one.
func tube(m Made) string {
	sewn := fmt.Sprintf("sew the long side %s from the edge, forwards and back at both ends", m.Text(m.Seam))
	if m.Kind == "strap" || m.Kind == "belt" {
		sewn = fmt.Sprintf("sew the long side and across one end %s from the edge, needle down at the corner, forwards and back at both ends of the seam; clip the corner", m.Text(m.Seam))
	}
	return fmt.Sprintf("%sFold the strip along its length, right sides together, and %s. Turn it with something blunt, and press the seam into one edge: it is %s wide.",
		m.within(), sewn, m.Text(m.Width))
}

// within says how what lies inside a fitting is laid into it.
func (m Made) within() string {
	l := m.Layers
	out := ""
	if l != nil && l.Lining != "" {
		out += "Lay the lining on the wrong side and sew both as one. "
	}
	if l != nil && l.Batting != nil && l.Batting.Count > 0 {
		out += "Baste the batting to the wrong side of one half, clear of the seams, so that it is turned with it. "
	}
	return out
}

// pocketMade is how a pocket is made up.
func pocketMade(m Made) string {
	if m.Style == plan.FoldedPocket {
		return m.within() + "Fold it double, right sides together, sew round but for a small gap in the lower edge, clip the corners, turn it, press, and top-stitch the fold."
	}
	return m.within() + fmt.Sprintf("Turn %s under twice at the top and stitch it; press the other three edges under by %s.",
		m.Text(m.pocketHem/2), m.Text(m.Seam))
}

func pocketStitch(m Made) string {
	s := "Edge-stitch it on along three sides, the top open, back and forth at both ends."
	if m.Slots > 0 {
		s += fmt.Sprintf(" Stitch off %d pen slots of %s from its right side.", m.Slots, m.Text(m.Slot))
	}
	return s
}

// slots are the lines between the pens of a pocket.
func slots(m Made, b Box) []Line {
	var out []Line
	for i := 1; i <= m.Slots; i++ {
		x := b.X + b.Width - m.Slot.Times(i)
		if x > b.X {
			out = append(out, Line{X1: x, Y1: b.Y, X2: x, Y2: b.Y + b.Height})
		}
	}
	return out
}

// pens finds slots that a pocket is too narrow for.
func pens(m Made, path string, found *finding.List) {
	if m.Slots == 0 {
		return
	}
	if fit := int(m.Width / max(m.Slot, 1)); m.Slot <= 0 || fit < m.Slots {
		found.Add(finding.Stop, "pen-slots", path+"/slots",
			fmt.Sprintf("%d pen slots of %s do not fit a pocket of %s.", m.Slots, m.Text(m.Slot), m.Text(m.Width)),
			fmt.Sprintf("Type up to %d, or make the pocket wider.", fit))
	}
}

// reach finds a handle that is shorter than its ends are apart.
func reach(m Made, path string, found *finding.List) {
	if m.Spread > m.Length {
		found.Add(finding.Stop, "handle-short", path+"/length",
			fmt.Sprintf("A handle of %s does not reach over ends that are %s apart.", m.Text(m.Length),
				m.Text(m.Spread)),
			"Make it longer; half as long again as its ends are apart leaves room for a hand.")
	}
}

// pair finds a pair whose tape does not fit on its short one.
func pair(m Made, path string, found *finding.List) {
	if m.Short == 0 {
		return
	}
	if m.Count > 1 {
		found.Add(finding.Stop, "out-of-range", path+"/count", "A pair is placed by itself.",
			"Type 1, and add another pair for the next place.")
	}
	if m.Short > m.Length {
		found.Add(finding.Stop, "pair-length", path+"/short",
			fmt.Sprintf("The short one of the pair, %s, is longer than the long one, %s.", m.Text(m.Short),
				m.Text(m.Length)), "Swap the two.")
		return
	}
	if room := m.Short - m.foldUnder; m.Tape > room || 2*m.Tape > m.Length-m.foldUnder {
		found.Add(finding.Stop, "pair-tape", path+"/tape",
			fmt.Sprintf("%s of tape on the short one and %s on the long one do not fit straps of %s and %s.",
				m.Text(m.Tape), m.Text(2*m.Tape), m.Text(m.Short), m.Text(m.Length)),
			fmt.Sprintf("Type up to %s, or make the straps longer.",
				m.Text(max(0, min(room, (m.Length-m.foldUnder)/2)))))
	}
}

func hookAndLoop(m Made, out *Fitted) {
	if m.Short == 0 {
		return
	}
	out.Notions = []Notion{
		{What: "hook tape", Length: sum.Of(sum.Part, "on the short one", m.Tape)},
		{What: "loop tape", Length: sum.Of(sum.Part, "on the long one, twice as much to be set", 2*m.Tape)},
	}
}

func tape(m Made, out *Fitted) {
	out.Notions = []Notion{{What: "tape", Length: sum.Repeat(count(m.Fitting), sum.Part, "tape", m.Length)}}
}

func buttons(m Made, out *Fitted) { out.Buttons = count(m.Fitting) }

func patch(m Made) []Part {
	return []Part{{Title: "label", Count: count(m.Fitting), Inside: m.inside(m.Width, m.Height),
		Size: sum.Size{Width: sum.Of(sum.Part, "width", m.Width),
			Height: sum.Of(sum.Part, "height", m.Height)}.Between(sum.Seam, "turned under", m.Seam)}}
}

// through reports whether a slit is sewn through two faces from their edge.
func (m Made) through() bool { return m.Kind == "slit" && m.doubled && m.At.Edge != "" }

func facing(m Made) []Part {
	if m.through() {
		return nil
	}
	return []Part{{Title: "facing of the slit", Adds: ", facing of the slit", Count: count(m.Fitting),
		Inside: m.inside(m.slitSpare, m.Length+m.slitSpare), Size: sum.Size{
			Width:  sum.Of(sum.Part, "beside the slit", m.slitSpare),
			Height: sum.Of(sum.Part, "length of the slit", m.Length).Plus(sum.Part, "beyond its end", m.slitSpare),
		}}}
}

// cross is the stitching in the box at the end of a strap.
func cross(_ Made, b Box) []Line {
	return []Line{{b.X, b.Y, b.X + b.Width, b.Y + b.Height}, {b.X + b.Width, b.Y, b.X, b.Y + b.Height}}
}

// cutLine is where a slit is cut.
func cutLine(_ Made, b Box) []Line {
	x := b.X + b.Width/2
	return []Line{{x, b.Y, x, b.Y + b.Height}}
}

func count(f plan.Fitting) int { return max(f.Count, 1) }

// places is how often a fitting stands on its piece: a pair twice.
func places(f plan.Fitting) int {
	if f.Short > 0 {
		return 2
	}
	return count(f)
}
