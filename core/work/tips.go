package work

import (
	"fmt"
	"maps"
	"slices"

	"umschlag/core/back"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/press"
	"umschlag/core/ref"
)

// Tips are what makers say with the work in hand: where pins go, what is held, in which order. They are short, each
// is told at the first step it belongs to, and all are common practice without a published source.

// tipsOf are those of the roles, from the start of a step to its end.
var tipsOf = map[ref.Role]func(*builder, Step) []string{
	ref.DoMeasure:      measuringTips,
	ref.DoCutOuter:     cuttingTips,
	ref.DoCutBack:      cuttingTips,
	ref.DoCutBorders:   cuttingTips,
	ref.DoCutUnder:     underTips,
	ref.DoCutShapes:    always("Cut small shapes with small scissors: turn the shape, not the scissors."),
	ref.DoLayOut:       always("Look at it through a photo in grey: fabrics alike in colour or in lightness show, and come apart."),
	ref.DoUnit:         pieceTips,
	ref.DoSet:          pieceTips,
	ref.DoRow:          pieceTips,
	ref.DoRows:         crossingTips,
	ref.DoBorder:       borderTips,
	ref.DoJoinParts:    always("Pin ends and middles first, then between them."),
	ref.DoEndToEnd:     pieceTips,
	ref.DoGather:       gatherTips,
	ref.DoFoldUnits:    foldTips,
	ref.DoJoinUnits:    always("Feel along each join: it is flat, and the folds butt.", "The stitches that catch the points must not show."),
	ref.DoWindows:      windowTips,
	ref.DoPoints:       buttonTips,
	ref.DoRimPoints:    buttonTips,
	ref.DoButtons:      buttonTips,
	ref.DoLayShapes:    always("The largest shape first: the others are measured from it as well."),
	ref.DoSewShapes:    shapeTips,
	ref.DoLayers:       layerTips,
	ref.DoQuilt:        quiltTips,
	ref.DoQuiltBorders: quiltTips,
	ref.DoTrim:         trimTips,
	ref.DoMakePiping:   always("Wind a thread round the cord where you cut it: a cut end ravels.", "While you sew: the cord in the middle, the raw edges even, the needle beside the cord before the first stitch."),
	ref.DoMakeFitting:  makingTips,
	ref.DoFitting:      fittingTips,
	ref.DoHem:          hemTips,
	ref.DoFold:         always("Crease the middle first, by the ends laid on each other."),
	ref.DoZip:          zipTips,
	ref.DoTape:         always("Begin both sides of the tape at the same end, so that their ends meet.", "Close it before you go on: both pieces are level at the top and at the bottom."),
	ref.DoClose:        closingTips,
	ref.DoJoin:         joiningTips,
	ref.DoFinish:       finishTips,
	ref.DoClip:         always("Turn the tips of the scissors away from the seam."),
	ref.DoTurn:         turningTips,
	ref.DoBottom:       bottomTips,
	ref.DoForm:         formTips,
	ref.DoMeasureCover: insertTips,
	ref.DoInspect:      always("Run a hand over every seam before an eye: a pin is felt first."),
}

// always are tips that hang on nothing.
func always(tips ...string) func(*builder, Step) []string {
	return func(*builder, Step) []string { return tips }
}

// tipsOnce gives each step its tips, and each tip to the first step that has it.
func tipsOnce(steps []Step) {
	said := map[string]bool{}
	for i := range steps {
		s := &steps[i]
		s.Tips = slices.DeleteFunc(s.Tips, func(tip string) bool { return said[tip] })
		for _, tip := range s.Tips {
			said[tip] = true
		}
	}
}

// tips are those of a step.
func tips(b *builder, s Step) []string {
	if of := tipsOf[s.Role]; of != nil {
		return slices.Clone(of(b, s))
	}
	return nil
}

// told are texts, each where its condition holds.
type told struct {
	where bool
	text  string
}

func those(list ...told) []string {
	var out []string
	for _, t := range list {
		if t.where {
			out = append(out, t.text)
		}
	}
	return out
}

// heavy reports whether a seam through the outside of the cover is thick under the foot.
func heavy(b *builder) bool { return stout(b) || batted(b) }

// stout reports whether its cloths themselves are thick under the foot.
func stout(b *builder) bool { return plan.SewnTogether(b.Plan, b.outside()).Needle >= 90 }

// isPiped reports whether piping is caught in a seam of the cover.
func isPiped(b *builder) bool { return b.Plan.Edges.Piping != nil }

// curved reports whether a seam of the cover runs round a curve.
func curved(b *builder) bool {
	return b.Plan.Object.Round() || b.Plan.Cover.Corners.Kind == plan.RoundCorners
}

// counted reports whether a panel of counted fabric is sewn in.
func counted(b *builder) bool {
	return slices.ContainsFunc(slices.Collect(maps.Values(b.Plan.Pieces)), func(p plan.Piece) bool {
		return p.Face != nil && p.Face.Panel != nil && p.Face.Panel.Kind == plan.CountedPanel
	})
}

// belted reports whether something hangs loose on the cover that could be caught in its seams.
func belted(b *builder) bool {
	return slices.ContainsFunc(b.Fittings, func(f Fitting) bool { return f.Loose })
}

// pinned tells how pins are set, by the school.
func pinned(b *builder) string {
	if b.Plan.Habits.Pins == plan.PinsRemove {
		return "Pin across the seam, heads outwards, so that each comes out in time."
	}
	return "Pin across the seam, heads outwards, points well inside the edge."
}

func measuringTips(b *builder, _ Step) []string {
	return those(
		told{b.Plan.Object.Kind == plan.Found, "Of two readings take the shorter: a panel can be eased, not stretched."},
		told{b.Plan.Object.Kind == plan.Book, "The boards have to bend all the way open: only then they go into the flaps."})
}

// ruler is how long the rulers are that most makers have. Common practice.
const ruler = 24 * length.Inch

func cuttingTips(b *builder, s Step) []string {
	long := slices.ContainsFunc(b.Cuts, func(c Cut) bool {
		return slices.Contains(s.Cuts, c.ID) && c.Least > ruler
	})
	plain := slices.ContainsFunc(b.outside(), func(letter string) bool {
		c, _ := b.Plan.Cloth(letter)
		return c.Print == plan.PlainPrint
	})
	return those(
		told{true, "Press the fabric flat before it is measured."},
		told{true, "Cut the selvedges off: they are woven tighter than the rest and pucker."},
		told{plain, "Where both sides look alike, mark the wrong one of each piece with a scrap of tape."},
		told{long, "Where the ruler is too short, lay two side by side, read both twice, and cut once."})
}

func underTips(b *builder, _ Step) []string {
	return those(told{b.Quilted && !b.Chain.StandsOut(),
		"Batting as large as the top comes out short while it is sewn: smooth it outwards as you go."})
}

func pieceTips(b *builder, s Step) []string {
	guide := fmt.Sprintf("Measure %s from the needle and find that spot on the foot: it guides you better than a line on "+
		"the plate.", s.Machine.Seam)
	return those(
		told{true, "Right sides together, edges even at the ends and along the seam."},
		told{s.Machine.Seam != "", guide},
		told{s.Press != "", "Press each seam closed first, as it was sewn: that sets it. Then open it up or lay it over."},
		told{stout(b), "Slowly over crossings: turn the hand wheel where it is thick."})
}

func crossingTips(b *builder, s Step) []string {
	return those(
		told{true, "Pin every crossing first, then between them."},
		told{true, "Push a pin straight through both seams: where it comes out they meet."},
		told{s.Side == press.Open, "See that the opened allowances stay flat as the needle crosses them."},
		told{stout(b), "Slowly over crossings: turn the hand wheel where it is thick."})
}

func borderTips(b *builder, s Step) []string {
	return those(
		told{true, "Pin ends and middle first, then between: the strip is eased to the centre, not the other way round."},
		told{s.Stage == Quilting, "When you trim its ends fold the batting out of the way: it must not be cut."})
}

func gatherTips(*builder, Step) []string {
	return []string{"Mark on the wrong side, in chalk or a removable pen tried on a scrap.",
		"Begin each row with two stitches backwards, and leave long tails at the other end.",
		"Draw in with the right side up: the puffs form on that side. From the far end, little by little.",
		"A long thread kinks: keep a finger in its loop while you draw."}
}

func foldTips(*builder, Step) []string {
	return []string{"Fold each square in half both ways first and pinch the creases: they cross in its middle.",
		"Finger-press every fold before the iron.",
		"Without a template, draw the turned edge along a ruler on all four sides and fold on the lines."}
}

func windowTips(*builder, Step) []string {
	return []string{"Lay all patches out and look at the whole before the first is sewn.",
		"Fix a few at a time, with pins or a touch of glue stick, in the corners too: the rest shifts while the front is turned.",
		"Where a cut edge looks out afterwards, whip that edge by hand in a thread that suits it."}
}

func buttonTips(*builder, Step) []string {
	return []string{"Knot the thread, come up from behind beside the knot, and end behind in three small stitches in one place."}
}

func shapeTips(b *builder, s Step) []string {
	return those(
		told{!s.Machine.Hand, "Try the stitch on a scrap of the same layers."},
		told{!s.Machine.Hand, "Needle down before you turn: outside the shape at outer corners, inside it at inner ones."},
		told{!s.Machine.Hand, "On small shapes a shorter and narrower stitch follows the edge better."},
		told{true, "Look under it before each edge: nothing of the rest lies under the foot."},
		told{true, "Cut the threads between shapes on both sides, then press from the wrong side."})
}

func layerTips(b *builder, _ Step) []string {
	return those(
		told{b.Plan.Habits.Hold != plan.HoldSpray, "Pins keep off the lines that will be sewn."},
		told{b.Chain.Batting != nil, "Corners first, then smooth the batting out to the edges."})
}

func quiltTips(*builder, Step) []string {
	return []string{"From one line to the next travel along the edge, in the seam allowance: fewer ends to fasten.",
		"Roll up what is not under the needle; the weight of it must not pull.",
		"Cut the threads on both sides before the next line crosses them.",
		"A line you draw goes away again only where it was tried on a scrap: heat and cold bring some back. Never a ballpoint."}
}

func trimTips(b *builder, _ Step) []string {
	return those(told{len(b.Applied) > 0, "Measure from the middle of what is laid on it, not from the cut edges."})
}

// pipingTips are those for piping that is basted on, closed to a ring or from end to end.
func pipingTips(b *builder, closed bool) []string {
	return those(
		told{true, "Pin its tail out of the way before you begin."},
		told{true, fmt.Sprintf("Stop %s before each corner, clip, and lead it round in a curve: three stitches at a slant, needle down, foot up, turn fabric and cord.",
			b.about(length.Inch, 25*length.Millimetre))},
		told{closed, fmt.Sprintf("Stop %s before the start to join the ends.",
			b.about(2*length.Inch, 5*length.Centimetre))})
}

func makingTips(b *builder, s Step) []string {
	return those(
		told{true, "Clip its corners and turn them out first, with something blunt."},
		told{fittingOf(b, s).Padded, "Batting lies under both layers of fabric and is caught in the seam; trim it close before you turn."})
}

func fittingTips(b *builder, s Step) []string {
	own := fittingOf(b, s).Tip
	return those(
		told{true, "Crease the piece in half both ways: its middle is where the creases cross."},
		told{own != "", own})
}

// fittingOf is the fitting of a step; the zero one where there is none of its number.
func fittingOf(b *builder, s Step) Fitting {
	for _, f := range b.Fittings {
		if f.No == s.Fitting {
			return f
		}
	}
	return Fitting{}
}

func hemTips(*builder, Step) []string {
	return []string{"Draw both fold lines on the wrong side first and fold along them.",
		"Let the edge of the foot run along the fold; forwards and back at both ends.",
		"It has to be straight; a thread more or less does not matter here."}
}

func zipTips(b *builder, _ Step) []string {
	return []string{"Press the folds before the zip is laid on, and everything flat after.",
		"Zipper foot, the needle on the side away from the teeth; its edge runs along them.",
		"At the slider stop with the needle down, lift the foot and draw it past.",
		"Slowly at the ends of the zip, where it is thickest; pin the parted ends side by side, so that the tapes do not spread."}
}

func closingTips(b *builder, _ Step) []string {
	hems, closing := twice(b) != "", closureTips(b).Closing
	turns := b.Plan.Cover.Corners.Kind == plan.SquareCorners && !b.Plan.Object.Round()
	return those(
		told{true, pinned(b) + b.cornered(" Corners first, then the middles, then between.", " Quarters first, then between.")},
		told{hems, "Pin where the pieces of the back overlap before anything else."},
		told{turns, fmt.Sprintf("Mark the corners on the wrong side, %s from both edges: there you turn.",
			b.text(b.Plan.Cover.Seam))},
		told{b.Plan.Back.InSeam() > 0, "Mark both ends of the gap with a removable pen before you sew."},
		told{closing != "", closing},
		told{belted(b), "Fold straps, belts and loops inwards and pin them away from the seam."},
		told{isPiped(b), "Many pins: the cord between the layers lets them creep."},
		told{heavy(b) && !b.Plan.Object.Round(), "Where it is thick at a corner push the bulk under the foot, and turn the hand wheel."},
		told{true, b.cornered("At every corner", "Now and then stop, needle down,") +
			" smooth all layers before you go on, and take out the pins you have passed."})
}

func joiningTips(b *builder, s Step) []string {
	return those(
		told{true, pinned(b) + " Ends first, then the middles, then between."},
		told{curved(b), "Pins close together along curves; the fuller side below, eased with the fingers, not stretched."},
		told{curved(b), "Clipped allowances lie flat and away from the seam, not under the foot."},
		told{!curved(b), "At a corner needle down, foot up, turn, and smooth the layers before you go on."},
		told{belted(b), "Fold straps, belts and loops inwards and pin them away from the seam."},
		told{isPiped(b), "Many pins: the cord between the layers lets them creep."},
		told{heavy(b), "Slowly over crossings: turn the hand wheel where it is thick."},
		told{batted(b), "Press the seam towards the larger piece, not open: the batting lies flatter."})
}

func finishTips(b *builder, _ Step) []string {
	zigzag, open := b.Plan.Edges.Inside == "zigzag", b.Plan.Edges.Inside == "pinked"
	return those(
		told{open && counted(b), "Counted fabric frays: overcast its edge by hand or with a zigzag as well."},
		told{b.Plan.Cover.Seam > length.Inch*3/8, fmt.Sprintf("Trim all layers to an even %s first.",
			b.about(length.Inch/4, 6*length.Millimetre))},
		told{zigzag, "The zigzag keeps outside the seam line and does not cross it."},
		told{zigzag, "Trim what stands beyond it afterwards, not into it, and press."},
		told{b.Plan.Edges.Inside == "bound", "Pin along curves; straight stretches need no pins. Cut the ends flush: the next seam encloses them."},
		told{b.Plan.Edges.Inside == "bound", "Look at the underside: the tape is caught all the way."})
}

func turningTips(b *builder, s Step) []string {
	turning := closureTips(b).Turning
	return those(
		told{!b.Plan.Object.Round(), "One corner out through the opening first, then the others, the rest last."},
		told{true, "Roll the seam between your fingers until it lies exactly on the edge, then press."},
		told{s.Press != "" && turning != "", turning},
		told{heavy(b), "Do not force it through the gap: ease it, or the stitches at its ends rip."})
}

func bottomTips(b *builder, _ Step) []string {
	bound := b.Plan.Cover.Bottom.Finish != "hem" && b.Plan.Cover.Bottom.Finish != "raw"
	return those(
		told{true, "Stand it on the table first: all panels end level; draw along a ruler and cut what stands out."},
		told{bound, "Begin at a seam, not in the middle of the front."},
		told{bound, "Pin all round before the first stitch, from the side you will sew on."},
		told{bound, "Turn it over: the tape is caught on the inside all the way."})
}

func formTips(b *builder, _ Step) []string {
	return []string{b.cornered("Clip its corners before it is turned.", "Notch its curve before it is turned."),
		"Pull the fibre apart before it goes in: small tufts, and no lumps."}
}

func insertTips(b *builder, _ Step) []string {
	return those(
		told{filled(b), closureTips(b).Filling},
		told{filled(b) && !b.Plan.Object.Round(), "Loose corners take a tuft of filling each."})
}

// closureTips are what makers say of the closure.
func closureTips(b *builder) back.Tips {
	return back.TipsOf(b.Plan.Back.Kind, b.Plan.Cover.Flange, b.Plan.Object.Round())
}

// filled reports whether a pad goes into the cover.
func filled(b *builder) bool { return b.Plan.Cover.Rules().Filled }
