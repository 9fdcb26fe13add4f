// Package fit knows what a real measurement does to a plan: a measured panel
// replaces the planned one for whatever is still to be cut, and each way to deal
// with the difference is named with its figures.
package fit

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
	"umschlag/core/work"
)

// Limits of the remedies. Common practice.
const (
	easeShare = 0.01            // straight seams ease in one percent
	leastSeam = length.Inch / 8 // a narrower seam frays out
	slipShare = 0.10            // a larger difference is a slip of the tape
	threads   = 2               // allowances in a seam
)

// Remedy is one way to deal with a difference.
type Remedy struct {
	Code plan.Remedy `json:"code"`
	// About is the key of the plan that chooses it.
	About string `json:"about"`
	// Chosen reports that it is the one that is taken.
	Chosen bool   `json:"chosen"`
	Text   string `json:"text"`
}

// Panel is what the measurement of a panel means.
type Panel struct {
	// Trimmed size in force: measured where it was measured.
	Trimmed sum.Size
	// Back is the size the back is cut to: the same, or as planned where it is eased in.
	Back sum.Size
	// Closing are the seams that close it at the sides, and at the top and the bottom.
	Closing [2]length.Length
	// Measured reports whether anything was.
	Measured bool
	Remedies []Remedy
}

// Finished is the panel on its seam line: as planned, or as it was measured.
func (p Panel) Finished(planned sum.Size) sum.Size {
	if !p.Measured {
		return planned
	}
	one := func(s sum.Sum, seam length.Length) sum.Sum {
		if s[0].Kind != sum.Measured {
			return s[1 : len(s)-1]
		}
		return s.Plus(sum.Seam, "seam allowance", -seam).Plus(sum.Seam, "seam allowance", -seam)
	}
	return sum.Size{Width: one(p.Trimmed.Width, p.Closing[0]), Height: one(p.Trimmed.Height, p.Closing[1])}
}

// Sewn is the size of the back on its seam line: what the front is cut to, less the seams that close it.
func (p Panel) Sewn() sum.Size {
	return sum.Size{Width: sum.Of(sum.Part, "front as cut", p.Back.Width.Total()-2*p.Closing[0]),
		Height: sum.Of(sum.Part, "front as cut", p.Back.Height.Total()-2*p.Closing[1])}
}

// Order is what a measurement is judged against.
type Order struct {
	Plan    plan.Plan
	Planned sum.Size
	// SeamsAcross and SeamsDown between patches, 0 on a plain face.
	SeamsAcross, SeamsDown int
}

// frontGates are where the front is measured before the back is cut.
var frontGates = []ref.Ref{ref.FrontQuilted, ref.FrontSewn}

// axis is one direction of a measured panel.
type axis struct {
	word, key string
	planned   *sum.Sum
	back      *sum.Sum
	closing   *length.Length
	measured  length.Length
	remedy    plan.Remedy
	seams     int
}

// Front puts the measured front in the place of the planned one, and deals with the
// difference as the plan says.
func Front(o Order) (Panel, finding.List) {
	seam := o.Plan.Cover.Seam
	p := Panel{Trimmed: o.Planned, Back: o.Planned, Closing: [2]length.Length{seam, seam}}
	var found finding.List
	i, m, ok := o.Plan.MeasuredAt(frontGates...)
	if !ok {
		return p, found
	}
	p.Measured = true
	about := finding.Path("measured", i)
	for _, d := range []axis{
		{"across", "width", &p.Trimmed.Width, &p.Back.Width, &p.Closing[0], m.Width, m.Across, o.SeamsAcross},
		{"up", "height", &p.Trimmed.Height, &p.Back.Height, &p.Closing[1], m.Height, m.Up, o.SeamsDown},
	} {
		planned := d.planned.Total()
		if d.measured == 0 || d.measured == planned {
			continue
		}
		remedies := o.remedies(about, d, planned)
		chosen := chosen(remedies, d.remedy)
		found = append(found, o.differs(about, d, planned, chosen)...)
		o.apply(d, planned, chosen)
		p.Remedies = append(p.Remedies, remedies...)
	}
	return p, found
}

// chosen marks the remedy a plan names, where it can be done; else what is cut follows.
func chosen(list []Remedy, wish plan.Remedy) plan.Remedy {
	if wish == plan.AcceptSize { // the other name for what is cut following
		wish = plan.Follow
	}
	for i, r := range list {
		if r.Code == wish {
			list[i].Chosen = true
			return wish
		}
	}
	for i, r := range list {
		if r.Code == plan.Follow {
			list[i].Chosen = true
		}
	}
	return plan.Follow
}

// apply makes the sizes what the remedy leaves.
func (o Order) apply(d axis, planned length.Length, remedy plan.Remedy) {
	measured := sum.Of(sum.Measured, "front as measured", d.measured)
	switch remedy {
	case plan.TrimOff: // the planned size holds
	case plan.OtherSeam:
		*d.planned, *d.back = measured, measured
		*d.closing += (d.measured - planned) / 2
	case plan.EaseIn: // the back stays as planned
		*d.planned = measured
	default:
		*d.planned, *d.back = measured, measured
	}
}

// Unknown says of measurements that nothing waits for them: no step of the plan has their
// gate.
func Unknown(p plan.Plan, steps []work.Step) finding.List {
	if len(p.Measured) == 0 {
		return nil
	}
	gates := map[string]bool{}
	for _, g := range slices.Concat(frontGates, []ref.Ref{ref.PadFilled}) {
		gates[g.String()] = true // the fibre has its place beside the steps, and a front may be quilted later
	}
	waiting := ""
	for _, s := range steps {
		if s.Gate != (ref.Ref{}) {
			gates[s.Gate.String()] = true
			waiting = cmp.Or(waiting, s.Gate.String())
		}
	}
	var found finding.List
	for i, m := range p.Measured {
		if !gates[m.Gate] {
			found.Add(finding.Warn, "measured-unknown", finding.Path("measured", i, "gate"),
				fmt.Sprintf("Nothing in this plan waits for %q.", m.Gate),
				fmt.Sprintf("Use the measuring step of one of its steps, such as %s, or remove it.",
					cmp.Or(waiting, ref.FrontQuilted.String())))
		}
	}
	return found
}

// sure reports that what was measured of the front was looked at twice.
func (o Order) sure() bool {
	_, m, ok := o.Plan.MeasuredAt(frontGates...)
	return ok && m.Sure
}

// differs says how far off the panel is and what may have caused it.
func (o Order) differs(path string, d axis, planned length.Length, remedy plan.Remedy) finding.List {
	var found finding.List
	text := o.Plan.Style().Text
	about, word, measured, seams := path+"/"+d.key, d.word, d.measured, d.seams
	off := measured - planned
	what, of := "over", "over"
	if off < 0 {
		what, of = "short", "short of"
	}
	if off.Abs().Float() > slipShare*planned.Float() && !o.sure() {
		found.Add(finding.Warn, "measured-slip", about,
			fmt.Sprintf("The front measures %s %s and was planned %s: that is more than a tenth off.", text(measured),
				word, text(planned)),
			"Measure once more. Is it the right side, and the right side of the tape?")
	}
	cause := ""
	if seams > 0 {
		each := off.Abs().Div(threads * seams)
		name := map[bool]string{true: "wide", false: "narrow"}[off < 0]
		cause = fmt.Sprintf(" That is what %d seams make, each %s too %s on both sides.", seams, little(text, o.Plan, each), name)
	}
	level, then := finding.Warn, "The back follows what you measured."
	asked := d.remedy
	if asked == plan.AcceptSize {
		asked = plan.Follow
	}
	if asked != "" && remedy == asked {
		level, then = finding.Note, taken[remedy]
	}
	found.Add(level, "front-"+what, about,
		fmt.Sprintf("The front measures %s %s, %s %s the plan.%s %s", text(measured), word, text(off.Abs()), of,
			cause, then),
		"Choose at the measuring step what to do.")
	if asked != "" && remedy != asked {
		found.Add(finding.Warn, "remedy-closed", path+"/"+d.word,
			fmt.Sprintf("What was chosen for the difference %s cannot be done.", word),
			"Choose another one at the measuring step.")
	}
	return found
}

// little is a length that may be less than what a ruler shows.
func little(text func(length.Length) string, p plan.Plan, l length.Length) string {
	if least := p.Habits.Step / 4; l < least {
		return "less than " + text(least)
	}
	return text(l)
}

// taken says what a remedy does, when it is chosen.
var taken = map[plan.Remedy]string{
	plan.Follow: "The back follows what you measured.", plan.TrimOff: "It is trimmed to the plan.",
	plan.OtherSeam: "The closing seams take it up.",
	plan.EaseIn:    "The back stays as planned and is eased in.",
}

// backCut reports whether the back is cut already.
func (o Order) backCut() bool {
	cut := ref.Ref{Kind: ref.Step, Piece: "back", Role: ref.DoCutBack}
	return slices.Contains(o.Plan.Progress.Done, cut.String())
}

// narrow is how wide an allowance has to be to hold by one line of stitching. Common practice.
const narrow = length.Inch / 4

// remedies are the ways of dealing with the difference that are open, what does least harm first: what spoils no cloth,
// then what is trimmed away, then what is cut anew.
func (o Order) remedies(path string, d axis, planned length.Length) []Remedy {
	text, word, measured := o.Plan.Style().Text, d.word, d.measured
	off := measured - planned
	seam := o.Plan.Cover.Seam
	var ways []Remedy
	way := func(code plan.Remedy, open bool, format string, args ...any) {
		if open {
			ways = append(ways, Remedy{Code: code, About: path + "/" + word,
				Text: fmt.Sprintf(format, args...)})
		}
	}
	follow := func(open bool, cut string) {
		way(plan.Follow, open, "%s to the measured front: %s %s. %s", cut, text(measured), word,
			o.accepted(word, measured-2*seam))
	}
	cut, closing := o.backCut(), seam+off/2
	careful := ""
	if closing < min(narrow, seam) {
		careful = " So narrow a seam is sewn twice, and finished with a stitch no wider than it is."
	}
	follow(!cut && off < 0, "Cut the back")
	way(plan.OtherSeam, closing >= leastSeam,
		"Sew the closing seams %s at %s instead of %s, edges even. The cover finishes as planned.%s", word,
		text(closing), text(seam), careful)
	way(plan.TrimOff, off > 0, "Trim evenly %s: %s off each side. The cover finishes as planned.", word, text(off/2))
	way(plan.EaseIn, cut && off.Abs().Float() <= easeShare*planned.Float(),
		"Ease the difference of %s in over %s of the back as it is cut; straight seams take 1%%, here %s. %s",
		text(off.Abs()), text(planned), text(length.FromFloat(easeShare*planned.Float())),
		o.accepted(word, measured-2*seam))
	follow(!cut && off > 0, "Cut the back")
	follow(cut, "Cut another back")
	return ways
}

// accepted says what the measured size does to the fit on the pad.
func (o Order) accepted(word string, finished length.Length) string {
	text := o.Plan.Style().Text
	pad := o.Plan.Object.Width
	if word == "up" {
		pad = o.Plan.Object.Height
	}
	if pad == 0 || o.Plan.Object.Kind != plan.Form {
		return fmt.Sprintf("The cover then finishes %s %s.", text(finished), word)
	}
	gap := pad - finished
	how := fmt.Sprintf("%s smaller than the insert", text(gap))
	if gap < 0 {
		how = fmt.Sprintf("%s larger than the insert", text(-gap))
	}
	return fmt.Sprintf("The cover then finishes %s %s, %s.", text(finished), word, how)
}

// joinEase is what a seam eases in, as a share. Common practice.
const joinEase = 0.01

// rounding is more, in nanometres, than two ways of working out one seam differ by.
const rounding = 100

// Of says how both sides of a seam fit each other: alike, eases, off.
func Of(a, b length.Length) string {
	switch off := (a - b).Abs(); {
	case off <= rounding:
		return "alike"
	case off.Float() <= joinEase*a.Float():
		return "eases"
	default:
		return "off"
	}
}

// Joins finds seams of a cover whose sides do not fit each other.
func Joins(c cover.Cover, style length.Style) finding.List {
	var found finding.List
	called := map[string]string{}
	for _, p := range c.Pieces {
		called[p.Name] = "the " + strings.ToLower(p.Title)
	}
	for _, j := range c.Joins {
		a, b := j.Lengths[0].Total(), j.Lengths[1].Total()
		if !j.Judged && Of(a, b) == "off" {
			found.Add(finding.Warn, "join-off", "/cover",
				fmt.Sprintf("%s: %s is %s along the seam and %s is %s.", j.Title, called[j.Between[0]], style.Text(a),
					called[j.Between[1]], style.Text(b)),
				"Over one percent does not ease in: change a corner or a size.")
		}
	}
	return found
}
