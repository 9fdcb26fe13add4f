package work

import (
	"fmt"
	"slices"
	"strings"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/quilt"
	"umschlag/core/ref"
)

// centreLaid says how the centre of a piece is laid on its layers.
func centreLaid(piece string) string {
	return "the centre of the " + piece + " right side up, with the same overhang on every side"
}

// sewQuilting quilts a panel: all of it at once, or what lies inside its borders, and those when they are sewn on.
func sewQuilting(b *builder, q *plan.Quilting, title string) {
	name := b.called(b.on)
	stack := layeredStack(b.Chain, name, b.faceCloth(b.on))
	step := Step{Role: ref.DoQuilt, Stage: Quilting, Act: Quilted, Stack: stack, Title: title,
		Text: linesText(b, q, b.Pattern), Machine: quilting(b, b.Chain), Caution: needleCaution,
		Check: "No pleats on the lining side."}
	if b.Chain.Guided() {
		step.Turned, step.Text = true, "From the back, along the lines of the grid. "+step.Text
	}
	apart := b.Chain.Apart
	switch {
	case apart == nil:
	case apart.After:
		step.Title = "Quilt the centre"
		if b.on != "front" {
			step.Title += " of the " + name
		}
	default:
		inside := "What lies inside the borders stays unquilted."
		if q.Inside() {
			inside = "What lies inside the borders: " + lower(step.Text)
		}
		step.Text = spaced([]string{inside, bordersText(b, q.Borders)})
	}
	b.add(step)
	if apart != nil && apart.After {
		borderAfter(b, q, stack)
	}
}

// borderAfter measures what lies inside the borders when it is quilted, cuts them to that, sews them on through all
// layers and quilts them.
func borderAfter(b *builder, q *plan.Quilting, stack []Sheet) {
	name := b.called(b.on)
	centre := Step{Role: ref.DoMeasureCentre, Stage: Quilting, Stack: stack, Title: "Measure the quilted centre",
		Text:  "Across its middle and up its middle, from raw edge to raw edge of the top; what lies under it stands out beyond that.",
		Check: fmt.Sprintf("Planned: %s. The borders are cut to what you measure.", b.size(b.Face.Quilted))}
	if b.on == "front" && b.Plan.Cover.Rules().ByBack {
		centre.Gate, centre.Reads, centre.Expect = ref.FrontCentre, ReadsSize, b.Face.Quilted
	} else {
		centre.Title = "Measure the quilted centre of the " + name
		centre.Check = fmt.Sprintf("Planned: %s. Cut the borders to what you measure where it differs.",
			b.size(b.Face.Quilted))
	}
	b.add(centre)
	var cuts []string
	for _, c := range b.Cuts {
		if c.Piece == b.on && c.Border {
			cuts = append(cuts, c.ID)
		}
	}
	b.add(Step{Role: ref.DoCutBorders, Stage: Quilting, Title: "Cut the borders of the " + name, Cuts: cuts,
		Text:    "To the centre as you measured it: the sides as long as it is high; those above and below when the sides are on, as long as the whole is wide then.",
		Caution: rotaryCaution,
		Check:   "Lay each strip along the edge it is sewn to before you cut the next."})
	sewBorders(b)
	if q.Borders.Any() {
		b.add(Step{Role: ref.DoQuiltBorders, Stage: Quilting, Act: Quilted, Stack: stack,
			Title: "Quilt the borders of the " + name, Text: bordersText(b, q.Borders), Machine: quilting(b, b.Chain),
			Caution: needleCaution, Check: "They lie flat, and the corners are square."})
	}
}

// onBatting is a step that sews a border on as it is done through all layers, when what lies inside it is quilted.
func onBatting(b *builder, s Step) Step {
	s.Stage = Quilting
	if s.Role == ref.DoBorderPatches {
		return s
	}
	under := layeredStack(b.Chain, b.called(b.on), b.faceCloth(b.on))
	s.Stack = append(under, Sheet{What: "border", Up: WrongUp, Cloth: s.Stack[len(s.Stack)-1].Cloth})
	s.Text += " Right side down on the quilted centre, raw edges even, through all layers; then turn it back over its seam and smooth it out on what lies under it."
	s.Press = "Press it flat from the right side, the iron no hotter than the batting takes."
	s.Machine.Foot, s.Machine.Needle = "walking foot", needle(plan.SewnTogether(b.Plan, b.cloths()), b.Chain.Thick)
	s.Caution = slices.Concat(s.Caution, ironCaution)
	return s
}

// linesText says a quilting pattern, in the order it is sewn.
func linesText(b *builder, q *plan.Quilting, p quilt.Pattern) string {
	var text []string
	say := func(format string, args ...any) { text = append(text, fmt.Sprintf(format, args...)) }
	if q.Ditch {
		along := " and along the borders"
		if b.Chain.Apart != nil {
			along = ""
		}
		say("First in the ditch of the seams, between the patches%s.", along)
	}
	if q.Beside > 0 {
		say("A round in every patch, %s from its seams, needle down at the corners.", b.text(q.Beside))
	}
	if q.Corners {
		say("From corner to corner through every patch, both ways: one long line after the other, from the middle ones outwards; a ruler laid from crossing to crossing is mark enough.")
	}
	if q.Around > 0 {
		say("Round each shape, %s outside its edge, beginning where the line is straightest.", b.text(q.Around))
	}
	if q.Echo > 0 {
		say("Echo lines %s apart, working in from the edge, needle down at the corners.", b.text(q.Echo))
	}
	var sets []string
	for _, f := range q.Lines {
		one := fmt.Sprintf("%s apart at %s°", b.text(f.Pitch), strings.Replace(fmt.Sprint(f.Angle), "-", "−", 1))
		if f.Wave > 0 {
			one += fmt.Sprintf(", waving %s to each side", b.text(f.Wave))
		}
		sets = append(sets, one)
	}
	if len(sets) > 0 {
		pairs := ""
		if q.Pair > 0 {
			pairs = fmt.Sprintf(", each in a pair %s apart", b.text(q.Pair))
		}
		say("Quilt lines %s%s, from the middle out. Sew every second line from the opposite end.", strings.Join(sets, " and "),
			pairs)
	}
	if q.Free > 0 {
		say("%s", freeText(b, q.Free))
	}
	if p.Seam > 0 {
		say("%s", takesText(b, p))
	}
	return strings.Join(text, " ")
}

func freeText(b *builder, apart length.Length) string {
	return fmt.Sprintf("Free-motion, %s from line to line on average: feed dogs down, from one edge to the other in loops that do not cross.", b.text(apart))
}

// takesText says what the lines of a pattern take.
func takesText(b *builder, p quilt.Pattern) string {
	lines, take := fmt.Sprintf("%d lines", len(p.Lines)), "they take"
	if len(p.Lines) == 1 {
		lines, take = "One line", "it takes"
	}
	return fmt.Sprintf("%s, %s in all: %s %s of thread, %s wound, and about %d minutes.", lines,
		b.style.Yards(p.Seam), take, b.style.Yards(p.Thread), count(p.Bobbins, "bobbin", "bobbins"), p.Minutes)
}

// bordersText says how borders are quilted by themselves.
func bordersText(b *builder, q *plan.BorderQuilting) string {
	if !q.Any() {
		return "The borders stay unquilted."
	}
	var how []string
	if q.Ditch {
		how = append(how, "in the ditch of their seams")
	}
	if q.Along > 0 {
		how = append(how, fmt.Sprintf("in lines along them, %s apart from the seam outwards", b.text(q.Along)))
	}
	if q.Across > 0 {
		how = append(how, fmt.Sprintf("in lines across them, %s apart, to and fro along each side",
			b.text(q.Across)))
	}
	text, free := "", ""
	if len(how) > 0 {
		text = "The borders " + strings.Join(how, ", then ") + "."
	}
	if q.Free > 0 {
		free = "The borders in free motion: " + lower(freeText(b, q.Free))
	}
	return spaced([]string{text, free, takesText(b, b.Borders)})
}
