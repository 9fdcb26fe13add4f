package plan

import "umschlag/core/length"

// Lays is the school of laying pieces on a cloth.
type Lays string

// Press is the school of pressing.
type Press string

// Pins is the school of pinning.
type Pins string

// Clip is the school of corner clipping.
type Clip string

// Round is the school of sewing round a cover.
type Round string

// Triangles is the school of cutting triangles that are sewn into squares or geese.
type Triangles string

// StripSets is the school of patches that lie side by side in blocks.
type StripSets string

// Hold is the school of holding layers together until they are quilted.
type Hold string

// StrapEnds is the school of closing the open end of a strap.
type StrapEnds string

// BindingEnds is the school of joining the ends of a binding.
type BindingEnds string

// The schools the steps ask about.
const (
	// HoldPins are pins all over, HoldSpray is temporary spray.
	HoldPins  Hold = "pins"
	HoldSpray Hold = "spray"

	// EndsZigzag closes an end with a satin stitch, EndsTurned turns it in.
	EndsZigzag StrapEnds = "zigzag"
	EndsTurned StrapEnds = "turned"

	// EndsFolded laps a folded end over the other, EndsJoined sews both to each other.
	EndsFolded BindingEnds = "folded"
	EndsJoined BindingEnds = "joined"

	// SinglePatches are cut one by one; SewnSets are strips sewn together and cut across.
	SinglePatches StripSets = "single"
	SewnSets      StripSets = "sets"

	// ExactTriangles are cut to size and sewn one by one; TrimTriangles come from larger
	// squares, sewn two at a time, and are trimmed; ManyTriangles come eight half-squares
	// and four geese at a time, and are trimmed.
	ExactTriangles Triangles = "exact"
	TrimTriangles  Triangles = "trim"
	ManyTriangles  Triangles = "many"

	// RotaryLays are cut in strips along a ruler; TemplateLays are drawn round and cut out
	// one by one, each wherever it fits.
	RotaryLays   Lays = "rotary"
	TemplateLays Lays = "template"

	PressNest Press = "nest"
	PressOpen Press = "open"
	PressDark Press = "dark"
	// PressCrossed opens seams that quilting lines cross, and lets the others nest.
	PressCrossed Press = "crossed"

	PinsRemove Pins = "remove"

	ClipAcross Clip = "across"
	ClipThree  Clip = "three"
	ClipSlant  Clip = "slant"

	RoundOneGo Round = "one-go"
	RoundRuns  Round = "four-runs"
)

// Values lists the schools of each habit, the default first.
func (Lays) Values() []string      { return []string{"rotary", "template"} }
func (Press) Values() []string     { return []string{"nest", "open", "dark", "crossed"} }
func (Pins) Values() []string      { return []string{"remove", "over"} }
func (Clip) Values() []string      { return []string{"across", "three", "slant"} }
func (Triangles) Values() []string { return []string{"exact", "trim", "many"} }

// Large reports a school that cuts triangles larger and trims their units.
func (t Triangles) Large() bool { return t == TrimTriangles || t == ManyTriangles }

func (StripSets) Values() []string   { return []string{"single", "sets"} }
func (Hold) Values() []string        { return []string{"pins", "spray"} }
func (StrapEnds) Values() []string   { return []string{"zigzag", "turned"} }
func (BindingEnds) Values() []string { return []string{"folded", "joined"} }
func (Round) Values() []string       { return []string{"one-go", "four-runs"} }

// Habits are the schools a plan follows, and the sizes it takes when a decision
// is absent.
type Habits struct {
	// Press seams so that they nest, open, or to the dark side.
	Press Press `json:"press,omitempty"`
	// PressBlocks, PressRows, PressJoins and PressBorders are the same for seams within blocks, within rows, between
	// rows and round them; pressed as the others where nothing is said.
	PressBlocks  Press `json:"press_blocks,omitempty"`
	PressRows    Press `json:"press_rows,omitempty"`
	PressJoins   Press `json:"press_joins,omitempty"`
	PressBorders Press `json:"press_borders,omitempty"`
	// Pins come out before the needle, or are sewn over.
	Pins Pins `json:"pins,omitempty"`
	// Triangles: cut exactly, cut large in pairs and trimmed, or many at a time.
	Triangles Triangles `json:"triangles,omitempty"`
	// Strips: patches side by side in a block cut one by one, or from strip sets.
	Strips StripSets `json:"strips,omitempty"`
	// Step of the ruler that cuts are rounded up to, 1/64 to 1 in.
	Step length.Length `json:"step,omitempty"`
	// Fraction that sizes off the ruler are shown to: 8, 16 or 32.
	Fraction int `json:"fraction,omitempty"`
	// Seam allowance when the cover names none.
	Seam length.Length `json:"seam,omitempty"`
	// PiecingSeam is that within fronts when the cover names none.
	PiecingSeam length.Length `json:"piecing_seam,omitempty"`
	// Ease of a cushion when the cover names none.
	Ease length.Length `json:"ease,omitempty"`
	// Hem is each of the two folds of a hem when the back names none.
	Hem length.Length `json:"hem,omitempty"`
	// Hold layers with pins all over, or with temporary spray, until they are quilted.
	Hold Hold `json:"hold,omitempty"`
	// Inside is how seam allowances are finished when the cover does not say.
	Inside InsideFinish `json:"inside,omitempty"`
	// Ends of straps: closed with a satin stitch, or turned in.
	Ends StrapEnds `json:"ends,omitempty"`
	// Binding: its ends lapped, one of them folded under, or sewn to each other.
	Binding BindingEnds `json:"binding,omitempty"`
	// Lay pieces in strips along a ruler, or freely round templates.
	Lay Lays `json:"lay,omitempty"`
	// Clip corners once across, with three cuts, or at a slant.
	Clip Clip `json:"clip,omitempty"`
	// Round: sew round a cover in one go or in four runs.
	Round Round `json:"round,omitempty"`
	// Wage is what an hour of work is reckoned at, Margin what is added to the cost for
	// selling, in percent, and Currency how money is named.
	// What a plan does not say, the habits of the workshop do.
	Wage     *float64 `json:"wage,omitempty"`
	Margin   *float64 `json:"margin,omitempty"`
	Currency string   `json:"currency,omitempty"`
	// Pace is how many minutes the maker takes for each that is usual, 0.2 to 5; 1, or as
	// the workshop says, when absent.
	Pace float64 `json:"pace,omitempty"`
}

// Priced are the habits with what they leave out about money and time from others.
func (h Habits) Priced(by Habits) Habits {
	h.Wage, h.Margin = either(h.Wage, by.Wage), either(h.Margin, by.Margin)
	if h.Currency == "" {
		h.Currency = by.Currency
	}
	if h.Pace == 0 {
		h.Pace = by.Pace
	}
	return h
}

// School is one way of doing a thing, with the reason its makers give.
type School struct {
	Value  string `json:"value"`
	Name   string `json:"name"`
	Reason string `json:"reason"`
}

// HabitHelp is one habit with its schools, for the page that explains them.
type HabitHelp struct {
	Key   string `json:"key"`
	Name  string `json:"name"`
	About string `json:"about"`
	// InBrief tells that a cover says it in its brief, where the habit is only what it
	// begins with.
	InBrief bool     `json:"in_brief,omitempty"`
	Schools []School `json:"schools"`
}

// HabitsHelp lists the habits in the order they are met while working. The
// reasons are common practice.
func HabitsHelp() []HabitHelp {
	return []HabitHelp{
		{Key: "ease", InBrief: true, Name: "Cushion against insert",
			About: "How much larger or smaller the finished cover is than the insert.", Schools: []School{
				{"0 in", "the same size", "Safe with foam, which cannot be squeezed at the corners."},
				{"-1 in", "an inch smaller", "The insert fills the corners and the cover stays plump."},
				{"-2 in", "two inches smaller", "For soft or feather fills that would otherwise sag; looks lofty."},
				{"1/2 in", "half an inch larger",
					"A flat, slouchy cushion; loose fill in the corners rescues one that is too loose."},
			}},
		{Key: "seam", InBrief: true, Name: "Seam allowance",
			About: "Of the seams that join pieces and close covers. Taken by a new plan; each cover can say otherwise.",
			Schools: []School{
				{"1/4 in", "¼″", "One seam for everything: as narrow as patches are sewn."},
				{"3/8 in", "⅜″", "A little more to hold in fabric that frays."},
				{"7 mm", "7 mm", "The metric sister of the quarter inch, marked on many presser feet."},
				{"1 cm", "1 cm", "Easy to measure and to press open; roomy for fabric that frays."},
				{"1/2 in", "½″", "For thick quilted panels, whose bulk eats a quarter inch."},
			}},
		{Key: "piecing_seam", InBrief: true, Name: "Piecing seam",
			About: "Of the seams within fronts: patches, strips, sashing, borders. Each cover can say otherwise.",
			Schools: []School{
				{"", "as usual",
					"¼″, or 7.5 mm in metric plans; the seam of the cover where that is the usual one too."},
				{"1/4 in", "¼″", "The usual piecing seam: little bulk where patches meet."},
				{"3/8 in", "⅜″", "A little more to hold in fabric that frays."},
				{"7 mm", "7 mm", "The metric sister of the quarter inch, marked on many presser feet."},
				{"7.5 mm", "7.5 mm", "Two of them are 1.5 cm: easy to add by head."},
				{"1 cm", "1 cm", "For loose and thick fabric."},
			}},
		{Key: "step", Name: "Ruler step",
			About: "Cuts that are not on the ruler are enlarged to the next step; the surplus is named.",
			Schools: []School{
				{"1/8 in", "⅛″", "Every rotary ruler shows it; it can be read across a table."},
				{"1/16 in", "¹⁄₁₆″", "Closer, for rulers with fine lines and good light."},
				{"1 mm", "1 mm", "For metric rulers."},
			}},
		{Key: "press", Name: "Pressing", About: "Which way the seam allowances lie.", Schools: []School{
			{"nest", "nesting",
				"Row by row in turn to the left and to the right: the bumps nest where rows meet, and corners match without pins."},
			{"open", "open", "Flattest where quilting lines cross many seams; needs pinning at each crossing."},
			{"crossed", "open where quilted",
				"Open on quilted pieces, whose lines cross the seams; nesting on all others."},
			{"dark", "to the dark side", "Nothing dark shows through pale fabric; seams do not always nest."},
		}},
		pressedAt("press_rows", "Pressing the rows", "Seams between the patches or blocks of a row."),
		pressedAt("press_joins", "Pressing the joins", "Seams that join the rows. Rows in turn and joins open is common: "+
			"corners nest, and the long seams lie flat."),
		pressedAt("press_blocks", "Pressing the blocks", "Seams within a block."),
		pressedAt("press_borders", "Pressing the borders", "Seams that sew borders on."),
		{Key: "triangles", Name: "Triangles", About: "How triangles that are sewn into squares or flying geese are cut.",
			Schools: []School{
				{"exact", "to size, one by one",
					"Least fabric and nothing to trim; every triangle has to be cut and sewn true."},
				{"trim", "large, two at a time, and trimmed",
					"Two squares sewn along both sides of the diagonal, cut apart and trimmed: true whatever the seam was, for a little more fabric."},
				{"many", "many at a time, and trimmed",
					"Eight half-square triangles from two large squares, four flying geese from one and four: quickest where many are alike."},
			}},
		{Key: "strips", Name: "Squares in a row", About: "How patches that lie side by side within a block are made.",
			Schools: []School{
				{"single", "cut one by one", "Every patch from any scrap; best for few blocks and many fabrics."},
				{"sets", "from strip sets",
					"Long strips sewn together and cut across: few seams and true widths where many units are alike."},
			}},
		{Key: "lay", Name: "Cutting", About: "How pieces are laid on a fabric and cut out of it.", Schools: []School{
			{"rotary", "in strips along a ruler",
				"Strips across the whole fabric, then pieces out of them: straight, quick, and several layers at once."},
			{"template", "round templates, one by one",
				"Every piece wherever it fits: less fabric where sizes differ much, and the only way with scissors. Each is drawn and cut by itself."},
		}},
		{Key: "pins", Name: "Pins", About: "What happens to a pin as the needle comes near.", Schools: []School{
			{"remove", "out before the needle", "The safe way: a needle that hits a pin can break and fly."},
			{"over", "sewn over",
				"Some sew slowly over fine pins laid across the seam. Wear glasses; the needle can still break."},
		}},
		{Key: "hold", Name: "Holding layers",
			About: "What keeps top, batting and lining together until they are quilted.", Schools: []School{
				{"pins", "pins all over",
					"Every hand’s width, taken out as the lines come near: nothing in the air, nothing on the iron."},
				{"spray", "temporary spray",
					"Flat and quick, and nothing to take out. Only with a window open, and off the iron."},
			}},
		{Key: "hem", InBrief: true, Name: "Hems",
			About: "Each of the two folds of the hem at the opening of a back; each cover can say otherwise, and a selvedge needs none.", Schools: []School{
				{"1/4 in", "¼″ and again ¼″", "Narrow and light, for fine fabric and small covers."},
				{"1/2 in", "½″ and again ½″", "Lies flat and holds its shape on most covers."},
				{"1 cm", "1 cm and again 1 cm", "The metric sister of the half inch."},
				{"1 in", "1″ and again 1″", "A firm band, for large covers and for buttons that may come later."},
			}},
		{Key: "inside", InBrief: true, Name: "Seams inside",
			About: "How the allowances are finished; seat pads and jackets enclose them. Each cover can say otherwise.",
			Schools: []School{
				{"zigzag", "zigzagged", "Needs nothing but the machine at hand, and washes well."},
				{"overlock", "overlocked", "Cut and finished in one go, by a second machine."},
				{"pinked", "pinked", "Thinnest, for fabric that hardly frays and is seldom washed."},
				{"bound", "bound", "Tape round the raw edges: for covers that are looked at from inside."},
			}},
		{Key: "ends", Name: "Ends of straps", About: "How the end is closed that a strap was turned through.",
			Schools: []School{
				{"zigzag", "with a satin stitch",
					"Flat: turned in, four layers would be too bulky to fold under and box."},
				{"turned", "turned in", "No raw edge at all; takes a seam more, and a strong needle."},
			}},
		{Key: "binding", Name: "Ends of a binding", About: "Where the end of a binding meets its beginning.",
			Schools: []School{
				{"folded", "one folded over the other",
					"Quick: fold the first end under and let the last run into it."},
				{"joined", "joined with a seam",
					"Sewn to each other with half an inch and opened: no thicker there than anywhere."},
			}},
		{Key: "clip", Name: "Corner clipping", About: "How bulk is taken out of a corner before it is turned.",
			Schools: []School{
				{"across", "once across", "Quick and enough for cotton; stay clear of the stitching."},
				{"three", "three cuts", "Thins the corner evenly when layers are thick."},
				{"slant", "thinned at a slant", "Each layer cut a little shorter, for batting in the seam."},
			}},
		{Key: "round", Name: "Sewing round", About: "How front and back are closed.", Schools: []School{
			{"one-go", "all round in one go", "Turn at each corner with the needle down: one thread start, no gaps."},
			{"four-runs", "four runs off the edge",
				"Each side sewn off its end: layers do not creep round the corner."},
		}},
	}
}

// In are the habits of one unit in another: sizes that are usual in the one become those that are usual in the other,
// sizes that were decided stay.
func (h Habits) In(was, now length.Unit) Habits {
	from, to := DefaultHabits(was), DefaultHabits(now)
	for _, one := range []struct {
		now      *length.Length
		from, to length.Length
	}{{&h.Seam, from.Seam, to.Seam}, {&h.Hem, from.Hem, to.Hem}, {&h.Step, from.Step, to.Step}} {
		if *one.now == one.from {
			*one.now = one.to
		}
	}
	return h
}

// pressedAt are the schools of pressing for some of the seams.
func pressedAt(key, name, about string) HabitHelp {
	return HabitHelp{Key: key, Name: name, About: about, Schools: []School{
		{"", "as all seams", "One way for everything is easiest to keep in mind."},
		{"nest", "nesting", "In turn to both sides, so that seams that meet nest."},
		{"open", "open", "Flattest, where the seam is long or much meets in it."},
		{"dark", "to the dark side", "Nothing dark shows through pale fabric."},
	}}
}

// Chosen are the schools that habits follow, by the keys of HabitsHelp. A size
// that is no school's has no entry.
func (h Habits) Chosen() map[string]string {
	chosen := map[string]string{"press": string(h.Press), "triangles": string(h.Triangles), "strips": string(h.Strips),
		"pins": string(h.Pins), "lay": string(h.Lay), "clip": string(h.Clip), "round": string(h.Round),
		"hold": string(h.Hold), "inside": string(h.Inside), "ends": string(h.Ends), "binding": string(h.Binding)}
	sizes := map[string]length.Length{"ease": h.Ease, "seam": h.Seam, "piecing_seam": h.PiecingSeam, "step": h.Step,
		"hem": h.Hem}
	if h.PiecingSeam == 0 {
		chosen["piecing_seam"] = ""
	}
	for key, press := range map[string]Press{"press_blocks": h.PressBlocks, "press_rows": h.PressRows,
		"press_joins": h.PressJoins, "press_borders": h.PressBorders} {
		chosen[key] = string(press)
	}
	for _, help := range HabitsHelp() {
		size, is := sizes[help.Key]
		if !is {
			continue
		}
		for _, school := range help.Schools {
			if l, err := length.Parse(school.Value, length.Inches); err == nil && l == size {
				chosen[help.Key] = school.Value
			}
		}
	}
	return chosen
}

// Decided are questions on which makers differ and that are not left to a habit, each with
// what the app does and why. Common practice.
func Decided() []School {
	return []School{
		{"borders", "Borders are sewn on before the layers are put together.",
			"Others sew them through the batting, quilting as they go. Sewn before, the centre is measured first and the whole panel is trimmed in one."},
		{"outer", "The piece of a back that shows is laid on the front first.",
			"Turned, it lies outside. Others lay it last and turn the other way; the step says which lies where."},
		{"corners", "Each corner is turned with one diagonal stitch.",
			"A sharp corner of stitching turns into a dog’s ear; one stitch across makes it square."},
		{"centre", "Trimmed square from two adjacent edges.",
			"Trimmed from opposite ones, a panel that is out of true stays so."},
		{"cutting", "The back waits until the front is measured, unless that is one piece of fabric.",
			"Others cut everything at once, which each brief may choose. Quilting, gathers and seams change the front; nothing is cut twice this way."},
	}
}
