package plan

import (
	"fmt"
	"maps"
	"math"
	"slices"
	"strings"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/ref"
)

// Counted cloth: squares to the inch, and squares of a design.
const (
	leastCount  = 3
	mostCount   = 60
	mostSquares = 2000
)

// The bounds of what can be cut and sewn at a table. Beyond them a number is a
// slip of the pen.
const (
	largest    = Largest
	longestCut = 100 * length.Metre
	mostCut    = 100_000
	leastSeam  = length.Inch / 16
	mostSeam   = 2 * length.Inch
	mostMargin = 6 * length.Inch
	leastPitch = length.Inch / 16
	mostPitch  = 24 * length.Inch
	mostHem    = 4 * length.Inch
	MostGrid   = 200
	mostCopies = 1000
	mostShrink = 25.0
	mostSlots  = 12
)

// Validate says which decisions cannot be right by themselves, each with its
// path and what to type instead. A plan without stops can be reckoned.
func (p Plan) Validate() finding.List {
	v := &Judge{style: p.Style()}
	v.text("/title", "A plan needs a title", p.Title)
	v.Count("/copies", "Copies", p.Copies, 1, mostCopies)
	judgeObject(v, p.Object)
	judgeCover(v, p.Cover)
	for _, name := range slices.Sorted(maps.Keys(p.Pieces)) {
		judgePiece(v, p, name)
	}
	judgeBack(v, p.Back)
	judgeEdges(v, p)
	if v.few("/fittings", "fittings", len(p.Fittings), mostFittings) {
		for i, f := range p.Fittings {
			judgeFitting(v, finding.Path("fittings", i), f)
		}
	}
	if v.few("/cloths", "fabrics", len(p.Cloths), MostCloths) {
		for _, letter := range slices.Sorted(maps.Keys(p.Cloths)) {
			judgeCloth(v, letter, p.Cloths[letter])
		}
	}
	judgeHabits(v, p.Habits)
	judgeMade(v, "made", p.Made)
	judgeMade(v, "progress/over", p.Progress.Over)
	for i, m := range p.Measured {
		judgeMeasured(v, finding.Path("measured", i), m)
	}
	for _, id := range slices.Sorted(maps.Keys(p.Progress.Cut)) {
		cut, path := p.Progress.Cut[id], "/progress/cut/"+id
		v.Between(path+"/width", "What was cut", cut.Width, 0, longestCut)
		v.Between(path+"/height", "What was cut", cut.Height, 0, longestCut)
		v.Count(path+"/count", "What was cut of one kind", cut.Count, 0, mostCut)
	}
	for _, id := range slices.Sorted(maps.Keys(p.Progress.Spoiled)) {
		v.Count("/progress/spoiled/"+id, "What was spoiled of one cut", p.Progress.Spoiled[id], 1, mostSpoiled)
	}
	judgeSewing(v, p)
	judgeSchedule(v, p.Schedule)
	v.Count("/costs/minutes", "The minutes of one cover", p.Costs.Minutes, 0, mostMinutes)
	judgeMoney(v, "/costs/other", "Other costs", p.Costs.Other)
	for _, letter := range slices.Sorted(maps.Keys(p.Lays)) {
		if slices.ContainsFunc(p.Lays[letter].Way,
			func(choice int) bool { return choice < 0 || choice > mostNumber }) ||
			len(p.Lays[letter].Way) > mostNumbers {
			v.Stop(finding.Path("lays", letter, "way"), "No search finds a cutting layout that way.",
				"Remove it, and look for a shorter cutting layout again.")
		}
	}
	return v.found
}

// mostParts is how many parts a step can be divided into.
const mostParts = 12

// judgeSewing checks what was recorded while sewing.
func judgeSewing(v *Judge, p Plan) {
	pr := p.Progress
	for _, id := range slices.Sorted(maps.Keys(pr.Times)) {
		if t := pr.Times[id]; !(t >= 0 && t <= mostMinutes) {
			v.Stop("/progress/times/"+id, fmt.Sprintf("A step cannot take %g minutes.", t),
				fmt.Sprintf("Type minutes from 0 to %d.", mostMinutes))
		}
	}
	for _, id := range slices.Sorted(maps.Keys(pr.Made)) {
		v.Count("/progress/made/"+id, "How many covers are through a step", pr.Made[id], 0, p.Copies)
	}
	for _, reasons := range []struct {
		key  string
		said map[string]string
	}{{"skipped", pr.Skipped}, {"early", pr.Early}} {
		for _, id := range slices.Sorted(maps.Keys(reasons.said)) {
			v.note("/progress/"+reasons.key+"/"+id, reasons.said[id])
		}
	}
	for _, id := range slices.Sorted(maps.Keys(pr.Parts)) {
		parts := pr.Parts[id]
		if len(parts) < 2 || len(parts) > mostParts {
			v.Stop("/progress/parts/"+id, fmt.Sprintf("A step cannot be divided into %d.", len(parts)),
				fmt.Sprintf("Name 2 to %d parts.", mostParts))
		}
		for i, part := range parts {
			v.text(fmt.Sprintf("/progress/parts/%s/%d/name", id, i), "A part needs a name", part.Name)
		}
	}
	for i, t := range pr.Troubles {
		v.note(fmt.Sprintf("/progress/troubles/%d/note", i), t.Note)
	}
}

// judgeSchedule checks days and minutes.
func judgeSchedule(v *Judge, s *Schedule) {
	if s == nil {
		return
	}
	day := func(path, text string) {
		if !isDay(text) {
			v.Stop(path, fmt.Sprintf("%q is no day.", text), "Type it as year, month and day, such as 2026-12-01.")
		}
	}
	if s.From != "" {
		day("/schedule/from", s.From)
	}
	if s.Due != "" {
		day("/schedule/due", s.Due)
	}
	for i, text := range s.Lost {
		day(fmt.Sprintf("/schedule/lost/%d", i), text)
	}
	if n := len(s.Minutes); n != 0 && n != 7 {
		v.Stop("/schedule/minutes", fmt.Sprintf("A week has seven days, not %d.", n),
			"Give the minutes of each day from Monday to Sunday.")
	}
	for i, m := range s.Minutes {
		v.Count(fmt.Sprintf("/schedule/minutes/%d", i), "The minutes of a day", m, 0, 24*60)
	}
}

// isDay tells whether a text is a day of the calendar as ISO 8601 writes it.
func isDay(text string) bool {
	var y, m, d int
	if n, err := fmt.Sscanf(text, "%4d-%2d-%2d", &y, &m, &d); n != 3 || err != nil || m < 1 || m > 12 || d < 1 {
		return false
	}
	if fmt.Sprintf("%04d-%02d-%02d", y, m, d) != text {
		return false // a scan passes over signs and spaces
	}
	days := []int{31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31}[m-1]
	if m == 2 && (y%4 == 0 && y%100 != 0 || y%400 == 0) {
		days = 29
	}
	return d <= days
}

// note checks the length of what a maker wrote.
func (v *Judge) note(path, text string) {
	if len(text) > mostNote {
		v.Stop(path, "The note is too long.", fmt.Sprintf("Keep it to %d letters.", mostNote))
	}
}

// mostNote is the longest note, in bytes.
const mostNote = 2000

// mostMinutes of work on one cover: a hundred hours.
const mostMinutes = 6000

// mostNumbers of the way to a lay, and mostNumber the largest of them.
const (
	mostNumbers = 20_000
	mostNumber  = 1 << 20
)

// mostSpoiled of one cut.
const mostSpoiled = 99

// ValidateHabits says which habits of the plan cannot be right.
func (p Plan) ValidateHabits() finding.List {
	v := &Judge{style: p.Style()}
	judgeHabits(v, p.Habits)
	return v.found
}

// ValidateCloth says what cannot be right about a cloth that is not in the plan.
func (p Plan) ValidateCloth(c Cloth) finding.List {
	v := &Judge{style: p.Style()}
	judgeCloth(v, c.Name, c)
	return v.found
}

// Judge holds what a plan says against what can be, and finds what is out of its range.
type Judge struct {
	style length.Style
	found finding.List
}

// Stop finds what cannot be, with what to type instead.
func (v *Judge) Stop(path, text, remedy string) {
	v.found.Add(finding.Stop, "out-of-range", path, text, remedy)
}

// nearest keeps the end of its range that is nearest to what was found out of it last.
func (v *Judge) nearest(end any) { v.found[len(v.found)-1].Nearest = end }

// Between checks an inclusive range of lengths.
func (v *Judge) Between(path, what string, l, lo, hi length.Length) {
	if l < lo || l > hi {
		v.Stop(path, fmt.Sprintf("%s cannot be %s.", what, v.style.Text(l)),
			fmt.Sprintf("Type a length from %s to %s.", v.style.Text(lo), v.style.Text(hi)))
		v.nearest(v.style.Plain(min(max(l, lo), hi)))
	}
}

// extent checks a size that may also take the rest.
func (v *Judge) extent(path, what string, e Extent, least length.Length) {
	if !e.Rest && v.cutOf(path, e.Cut, e.Width, least) {
		v.Between(path, what, e.Width, least, largest)
	}
}

// Size checks a measured size of a thing.
func (v *Judge) Size(path, what string, l length.Length) {
	if l <= 0 || l > largest {
		v.Stop(path, fmt.Sprintf("%s cannot be %s.", what, v.style.Text(l)),
			fmt.Sprintf("Type what the tape shows, up to %s.", v.style.Text(largest)))
	}
}

// Count checks an inclusive range of numbers.
func (v *Judge) Count(path, what string, n, lo, hi int) {
	if n < lo || n > hi {
		v.Stop(path, fmt.Sprintf("%s cannot be %d.", what, n),
			fmt.Sprintf("Type a whole number from %d to %d.", lo, hi))
		v.nearest(min(max(n, lo), hi))
	}
}

// What a plan holds of each at most. More of them are no cover any more, and would keep whoever looks at it waiting.
const (
	mostFittings = 100
	MostCloths   = 100
	mostBorders  = 40
	MostShapes   = 400
	mostOddSizes = 400
)

// few checks that there are not more of something than can be followed; what is too many is not looked at one by one.
func (v *Judge) few(path, what string, n, most int) bool {
	if n > most {
		v.Stop(path, fmt.Sprintf("There are %d %s.", n, what), fmt.Sprintf("Keep up to %d.", most))
	}
	return n <= most
}

func (v *Judge) percent(path, what string, f float64) {
	if !(f >= 0 && f <= mostShrink) {
		v.Stop(path, fmt.Sprintf("%s cannot be %g%%.", what, f),
			fmt.Sprintf("Type a percentage from 0 to %g.", mostShrink))
		v.nearest(math.Min(math.Max(f, 0), mostShrink))
	}
}

func (v *Judge) text(path, what, text string) {
	if strings.TrimSpace(text) == "" {
		v.Stop(path, what+".", "Type a few words.")
	}
	if len(text) > 200 {
		v.Stop(path, "That is too long to be read on a label.", "Keep it under 200 characters.")
	}
}

func judgeObject(v *Judge, o Object) {
	axes := map[ObjectKind][]struct {
		key, what string
		l         length.Length
	}{
		Form:  {{"width", "The width of an insert", o.Width}, {"height", "The height of an insert", o.Height}},
		Flat:  {{"width", "The width", o.Width}, {"height", "The height", o.Height}},
		Found: {{"width", "The width of the panel", o.Width}, {"height", "The height of the panel", o.Height}},
		Box: {{"length", "The length", o.Length}, {"depth", "The depth", o.Depth},
			{"height", "The height", o.Height}},
		Book: {{"wrap", "The way round the book", o.Wrap}, {"height", "The height of the book", o.Height}},
	}
	for _, a := range axes[o.Kind] {
		if a.key == "wrap" && a.l == 0 && o.Board > 0 {
			continue // boards and spine say it instead
		}
		v.Size("/object/"+a.key, a.what, a.l)
	}
	if o.Kind == Book {
		v.Between("/object/thickness", "The thickness of a board", o.Thickness, 0, mostSeam)
	}
	if o.Round() && o.Height != 0 && o.Height != o.Width {
		v.Stop("/object/height",
			fmt.Sprintf("Something round cannot be %s by %s.", v.style.Text(o.Width), v.style.Text(o.Height)),
			"Type the diameter twice, or leave the height out.")
	}
	out := o.SticksOut
	for _, l := range []struct {
		key string
		l   length.Length
	}{{"width", out.Width}, {"height", out.Height}, {"length", out.Length}, {"depth", out.Depth}, {"wrap", out.Wrap}} {
		v.Between("/object/sticks_out/"+l.key, "What sticks out", l.l, 0, largest)
	}
}

func judgeCover(v *Judge, c Cover) {
	v.Between("/cover/seam", "A seam allowance", c.Seam, leastSeam, mostSeam)
	for _, a := range []struct {
		key  string
		size Size
	}{{"width", c.Size.Width}, {"height", c.Size.Height}, {"length", c.Size.Length}, {"depth", c.Size.Depth},
		{"wrap", c.Size.Wrap}} {
		if a.size.Given() {
			v.Between("/cover/size/"+a.key, "The size of a cover", a.size.Finished+a.size.Cut, leastSeam, largest)
		}
	}
	if c.PiecingSeam != 0 {
		v.Between("/cover/piecing_seam", "A piecing seam", c.PiecingSeam, leastSeam, mostSeam)
	}
	v.Between("/cover/bulk", "The bulk of the layers", c.Bulk, 0, mostSeam)
	v.Between("/cover/flange", "A flange", c.Flange, 0, mostMargin)
	v.Between("/cover/flaps/hem", "The hem of a flap", c.Flaps.Hem, 0, mostHem)
	v.percent("/cover/wash", "Shrinkage", c.Wash)
}

func judgePiece(v *Judge, p Plan, name string) {
	path := finding.Path("pieces", name)
	names, twins := PieceNames(p.Cover.Kind), twinsOf(p.Cover.Kind)
	if name != Common && !slices.Contains(names, name) && !slices.Contains(twins, name) {
		remedy := fmt.Sprintf("Its pieces are %s; * stands for all.", strings.Join(names, ", "))
		if len(twins) > 0 {
			remedy = fmt.Sprintf("Its pieces are %s, told apart %s; * stands for all.", strings.Join(names, ", "),
				strings.Join(twins, ", "))
		}
		v.Stop(path, fmt.Sprintf("A %s has no piece %q.", p.Cover.Kind, name), remedy)
	}
	q := p.Pieces[name]
	if q.Squaring != nil {
		v.Between(path+"/squaring", "A squaring margin", *q.Squaring, 0, mostMargin)
	}
	if q.Face != nil {
		judgeFace(v, path+"/face", *q.Face)
	}
	if q.Layers != nil {
		judgeLayers(v, path+"/layers", *q.Layers)
	}
	if q.Quilting != nil {
		judgeQuilting(v, path+"/quilting", *q.Quilting)
	}
	if q.TakeUp != nil {
		v.percent(path+"/take_up/across", "Take-up", q.TakeUp.Across)
		v.percent(path+"/take_up/along", "Take-up", q.TakeUp.Along)
	}
}

func judgeFace(v *Judge, path string, f Face) {
	if rules, known := FaceKinds.Of(string(f.Kind)); known && rules.Judge != nil {
		rules.Judge(v, path, f)
	}
	if len(f.Colourways) > mostWays {
		v.Stop(path+"/colourways", fmt.Sprintf("%d colourways are kept.", len(f.Colourways)),
			fmt.Sprintf("Keep up to %d side by side.", mostWays))
		return
	}
	for i, c := range f.Colourways {
		at := fmt.Sprintf("%s/colourways/%d", path, i)
		if len(c.Face.Colourways) > 0 {
			v.Stop(at+"/face/colourways", "A colourway holds colourways of its own.",
				"Keep them all beside the design itself.")
			continue
		}
		judgeFace(v, at+"/face", c.Face)
	}
	if v.few(path+"/borders", "borders", len(f.Borders), mostBorders) {
		for i, b := range f.Borders {
			judgeBorder(v, fmt.Sprintf("%s/borders/%d", path, i), b)
		}
	}
	if v.few(path+"/applique", "shapes", len(f.Applique), MostShapes) {
		for i, s := range f.Applique {
			judgeShape(v, fmt.Sprintf("%s/applique/%d", path, i), s)
		}
	}
}

func judgeGrid(v *Judge, path string, f Face) {
	v.Count(path+"/columns", "The number of patches across", f.Columns, 1, MostGrid)
	v.Count(path+"/rows", "The number of patches down", f.Rows, 1, MostGrid)
	judgePatch(v, path+"/patch", f.Patch)
	judgeSash(v, path+"/sash", f.Sash)
	v.rows(path, f)
	v.keep(path, f)
	v.mix(path+"/mix", f.Mix)
}

func judgeWindows(v *Judge, path string, f Face) {
	v.Count(path+"/columns", "The number of units across", f.Columns, 1, MostUnits)
	v.Count(path+"/rows", "The number of units down", f.Rows, 1, MostUnits)
	if f.Unit != 0 {
		v.Between(path+"/unit", "A finished unit", f.Unit, length.Inch, largest)
	}
}

func judgeFound(v *Judge, path string, f Face) {
	if f.Patch != (Patch{}) {
		judgePatch(v, path+"/patch", f.Patch)
	}
	judgePanel(v, path+"/panel", f.Panel)
}

func judgeGathers(v *Judge, path string, f Face) {
	if s := f.Sampled; s != nil {
		v.Size(path+"/sampled/before", "The sample before it is gathered", s.Before)
		v.Size(path+"/sampled/after", "The sample after it is gathered", s.After)
	}
}

func judgeStrips(v *Judge, path string, f Face) {
	if len(f.Strips) == 0 || len(f.Strips) > MostGrid {
		v.Stop(path+"/strips", fmt.Sprintf("%d strips are given.", len(f.Strips)),
			fmt.Sprintf("Give 1 to %d strips.", MostGrid))
	}
	for i, s := range f.Strips {
		v.extent(fmt.Sprintf("%s/strips/%d/width", path, i), "A finished strip", s.Width, LeastStrip)
	}
}

// judgePanel looks at what is said of a found panel.
func judgePanel(v *Judge, path string, p *FoundPanel) {
	if p == nil {
		return
	}
	switch p.Kind {
	case CountedPanel:
		v.Count(path+"/across", "The number of squares across", p.Across, 1, mostSquares)
		v.Count(path+"/up", "The number of squares up", p.Up, 1, mostSquares)
		v.Count(path+"/margin", "The number of squares round the design", p.Margin, 0, MostGrid)
		if !(p.Count >= leastCount && p.Count <= mostCount) {
			v.Stop(path+"/count", fmt.Sprintf("Counted fabric does not have %g squares to the inch.", p.Count),
				fmt.Sprintf("Type how many squares go to an inch, from %d to %d; 14 is ordinary.", leastCount,
					mostCount))
		}
	case PrintedPanel:
		for _, given := range []struct {
			key, what string
			l         length.Length
		}{{"width", "The width of the print", p.Width}, {"height", "The height of the print", p.Height}} {
			if given.l != 0 {
				v.Size(path+"/"+given.key, given.what, given.l)
			}
		}
		for _, given := range []struct {
			key   string
			l     *length.Length
			whole length.Length
		}{{"left", p.Left, p.Width}, {"top", p.Top, p.Height}} {
			if given.l != nil && (*given.l < 0 || *given.l > given.whole) {
				v.Stop(path+"/"+given.key,
					fmt.Sprintf("The middle cannot lie %s from an edge of a print of %s.", v.style.Text(*given.l),
						v.style.Text(given.whole)), "Type a distance within the print.")
			}
		}
	}
}

// judgeShape looks at what is said of an appliquéd shape; whether it can be drawn and placed
// is found when it is.
func judgeShape(v *Judge, path string, s Shape) {
	for _, given := range []struct {
		key, what string
		l         length.Length
	}{{"width", "The width of a shape", s.Width}, {"height", "The height of a shape", s.Height}} {
		if given.l != 0 {
			v.Between(path+"/"+given.key, given.what, given.l, length.Millimetre, largest)
		}
	}
	for _, given := range []struct {
		key string
		l   *length.Length
	}{{"left", s.At.Left}, {"right", s.At.Right}, {"top", s.At.Top}, {"bottom", s.At.Bottom}} {
		if given.l != nil {
			v.Between(path+"/at/"+given.key, "A distance", *given.l, -largest, largest)
		}
	}
	if !(math.Abs(s.Turn) <= 360) {
		v.Stop(path+"/turn", fmt.Sprintf("A shape cannot be turned by %g°.", s.Turn), "Type an angle from −360 to 360.")
	}
	if len([]rune(s.Name)) > 40 {
		v.Stop(path+"/name", "That name is too long to be read on a drawing.", "Keep it under 40 characters.")
	}
}

// cutOf finds a size that is given as it is cut and is all seams; ok is true where it is not.
func (v *Judge) cutOf(path string, cut, finished, least length.Length) (ok bool) {
	if cut == 0 || finished >= least {
		return true
	}
	v.Stop(path, fmt.Sprintf("Cut %s it is all seams: those at its sides take %s, and it would finish %s.",
		v.style.Text(cut), v.style.Text(cut-finished), v.style.Text(finished)),
		fmt.Sprintf("Type %s cut or more, or what it finishes.", v.style.Text(cut-finished+least)))
	v.nearest(v.style.Plain(cut-finished+least) + " cut")
	return false
}

func judgePatch(v *Judge, path string, p Patch) {
	if p.Fit || !v.cutOf(path+"/width", p.WidthCut, p.Width, length.Inch/4) ||
		!v.cutOf(path+"/height", p.HeightCut, p.Height, length.Inch/4) {
		return
	}
	v.Between(path+"/width", "A finished patch", p.Width, length.Inch/4, largest)
	if p.Height != 0 {
		v.Between(path+"/height", "A finished patch", p.Height, length.Inch/4, largest)
	}
}

func judgeSash(v *Judge, path string, s *Sash) {
	if s != nil && v.cutOf(path+"/width", s.WidthCut, s.Width, length.Inch/8) {
		v.Between(path+"/width", "A finished sashing strip", s.Width, length.Inch/8, largest)
	}
}

func judgeBorder(v *Judge, path string, b Border) {
	v.extent(path+"/width", "A finished border", b.Width, length.Inch/8)
	if p := b.Pieced; p != nil {
		for key, n := range map[string]int{"across": p.Across, "down": p.Down} {
			if n != 0 {
				v.Count(path+"/pieced/"+key, "The number of patches in a border", n, 1, MostGrid)
			}
		}
	}
}

// LeastStrip is the narrowest strip that is sewn between others. Common practice.
const LeastStrip = length.Inch / 4

// MostUnits is how many folded units lie side by side at most.
const MostUnits = 40

// mostWays is how many colourways can be told apart side by side.
const mostWays = 8

// mostStack is how many parts a stack has at most, and how deep one may hold another.
const (
	mostStack = 24
	mostDeep  = 4
)

// judgeStack checks its parts, and that it does not hold stacks without end.
func judgeStack(v *Judge, path string, f Face) {
	if len(f.Parts) > mostStack {
		v.Stop(path+"/parts", fmt.Sprintf("%d parts are given.", len(f.Parts)),
			fmt.Sprintf("Give up to %d.", mostStack))
		return
	}
	if strings.Count(path, "/parts/") >= mostDeep {
		v.Stop(path, "Sections lie in sections too deep to be told apart.",
			fmt.Sprintf("Put at most %d into each other.", mostDeep))
		return
	}
	for i, p := range f.Parts {
		at := fmt.Sprintf("%s/parts/%d", path, i)
		v.extent(at+"/height", "A section", p.Height, length.Inch/4)
		v.Between(at+"/overhang", "What a part is longer than its place", p.Overhang, 0, 2*mostMargin)
		judgeFace(v, at+"/face", p.Face)
	}
}

// keep checks that kept patches are there.
func (v *Judge) keep(path string, f Face) {
	if f.Rows < 1 || f.Columns < 1 || f.Rows > MostGrid {
		return
	}
	shape := f.Shape()
	for i, k := range f.Keep {
		if k.Row < 1 || k.Row > len(shape) || k.Column < 1 || k.Column > shape[k.Row-1] {
			v.Stop(fmt.Sprintf("%s/keep/%d", path, i),
				fmt.Sprintf("There is no patch %d in row %d to be kept.", k.Column, k.Row),
				"Remove it, or name one that is there.")
		}
	}
}

// mix checks how often cloths are drawn.
func (v *Judge) mix(path string, m *Mix) {
	if m == nil {
		return
	}
	for _, letter := range slices.Sorted(maps.Keys(m.Often)) {
		v.Count(path+"/often/"+letter, "How often a fabric is drawn", m.Often[letter], 1, mostOften)
	}
}

// mostOften is how often one cloth may be drawn against another.
const mostOften = 99

// rows checks an order that is written out against the grid.
func (v *Judge) rows(path string, f Face) {
	if f.Order.Kind != Rows || f.Rows < 1 || f.Columns < 1 {
		return
	}
	shape := f.Shape()
	if len(f.Order.Rows) != len(shape) {
		v.Stop(path+"/order", fmt.Sprintf("%d rows are written out for a grid of %d.", len(f.Order.Rows), len(shape)),
			"Write one list a row.")
		return
	}
	for i, row := range f.Order.Rows {
		if len(row) != shape[i] {
			v.Stop(fmt.Sprintf("%s/order/%d", path, i),
				fmt.Sprintf("This row has %d fabrics for %d patches.", len(row), shape[i]), "Give one letter a patch.")
		}
	}
}

func judgeLayers(v *Judge, path string, l Layers) {
	if l.Overhang != nil {
		v.Between(path+"/overhang", "The overhang", *l.Overhang, 0, mostMargin)
	}
	if b := l.Batting; b != nil {
		v.Count(path+"/batting/count", "Layers of batting", b.Count, 0, 4)
		if b.Overhang != nil {
			v.Between(path+"/batting/overhang", "The overhang of the batting", *b.Overhang, 0, mostMargin)
		}
		v.Between(path+"/batting/loft", "The loft of a batting", b.Loft, 0, 2*length.Inch)
	}
}

func judgeQuilting(v *Judge, path string, q Quilting) {
	if len(q.Lines) > 8 {
		v.Stop(path+"/lines", "More than eight sets of lines cannot be told apart.", "Keep the sets that are sewn.")
	}
	for i, f := range q.Lines {
		at := fmt.Sprintf("%s/lines/%d", path, i)
		v.Between(at+"/pitch", "The distance between lines", f.Pitch, leastPitch, mostPitch)
		if !(f.Angle >= -360 && f.Angle <= 360) {
			v.Stop(at+"/angle", fmt.Sprintf("An angle of %g° goes round more than once.", f.Angle),
				"Type degrees from −90 to 90.")
		}
		v.Between(at+"/shift", "The shift of a set of lines", f.Shift, -mostPitch, mostPitch)
		if f.Wave < 0 || f.Wave > f.Pitch {
			v.Stop(at+"/wave",
				fmt.Sprintf("Lines %s apart cannot swing out by %s: they would cross.", v.style.Text(f.Pitch),
					v.style.Text(f.Wave)), "Type up to the distance between the lines, or 0 for straight ones.")
		}
		if q.Pair < 0 || (q.Pair > 0 && q.Pair >= f.Pitch) {
			v.Stop(path+"/pair",
				fmt.Sprintf("Pairs %s apart do not fit lines %s apart.", v.style.Text(q.Pair), v.style.Text(f.Pitch)),
				"Type a distance below that between the lines, or 0 for single lines.")
		}
	}
	for _, d := range []struct {
		key, what string
		l         length.Length
	}{{"echo", "The distance between echoes", q.Echo}, {"free", "The distance of free-motion lines", q.Free},
		{"beside", "The distance from the seams", q.Beside}, {"around", "The distance from the shapes", q.Around}} {
		if d.l != 0 {
			v.Between(path+"/"+d.key, d.what, d.l, leastPitch, mostPitch)
		}
	}
	if b := q.Borders; b != nil {
		for _, d := range []struct {
			key, what string
			l         length.Length
		}{{"along", "The distance between lines along borders", b.Along},
			{"across", "The distance between lines across borders", b.Across},
			{"free", "The distance of free-motion lines in borders", b.Free}} {
			if d.l != 0 {
				v.Between(path+"/borders/"+d.key, d.what, d.l, leastPitch, mostPitch)
			}
		}
	}
}

func judgeBack(v *Judge, b Back) {
	if len(b.Hem) > 2 {
		v.Stop("/back/hem", "A hem is turned once or twice.", `Give one or two folds, or [] on a selvedge.`)
	}
	for i, h := range b.Hem {
		v.Between(finding.Path("back", "hem", i), "A hem", h, 0, mostHem)
	}
	for i, w := range b.Panels.Widths {
		v.Size(finding.Path("back", "panels", i), "The width of a back piece", w)
	}
	for _, l := range []struct {
		key, what string
		l         length.Length
	}{{"gap", "A gap", b.Gap}, {"band", "A band", b.Band}, {"tape", "The tape", b.Tape},
		{"button", "A button", b.Button}, {"depth", "The depth of the fold", b.Depth}} {
		v.Between("/back/"+l.key, l.what, l.l, 0, largest)
	}
	v.Between("/back/seam", "What is turned under beside a zip", b.Seam, 0, mostSeam)
	v.Count("/back/count", "Buttons or ties", b.Count, 0, 60)
	if !(b.Share >= 0 && b.Share <= 100) {
		v.Stop("/back/share", fmt.Sprintf("An overlap cannot be %g%% of the width.", b.Share),
			"Type a percentage from 15 to 60; 25 is safe.")
	}
}

func judgeEdges(v *Judge, p Plan) {
	if c := p.Edges.Piping; c != nil {
		v.Between("/edges/piping/cord", "A cord", c.Cord, leastSeam, length.Inch)
	}
	if b := p.Edges.Binding; b != nil {
		v.Between("/edges/binding/shows", "What shows of a binding", b.Shows, length.Inch/8, mostSeam)
	}
	if t := p.Edges.Topstitch; t != 0 && (t < 0 || t >= p.Cover.Seam) {
		v.Stop("/edges/topstitch",
			fmt.Sprintf("Top-stitching %s from the edge misses what is turned in by a seam of %s.", v.style.Text(t),
				v.style.Text(p.Cover.Seam)),
			fmt.Sprintf("Type less than %s; half of it is usual.", v.style.Text(p.Cover.Seam)))
	}
	if m := p.Object.Make; m != nil {
		if p.Object.Kind != Form {
			v.Stop("/object/make", "Only an insert is made at home.", "Remove it from this plan.")
		}
		if m.Fold && p.Object.Round() {
			v.Stop("/object/make/fold", "A circle has no side to lie on the fold.", "Make the insert of two pieces.")
		}
		v.Between("/object/make/tab", "A tab", m.Tab, 0, mostSeam)
		v.Between("/object/make/gap", "The gap of an insert", m.Gap, 0, largest)
	}
}

// judgeFitting checks the numbers of a fitting that no kind of it can do without.
func judgeFitting(v *Judge, path string, f Fitting) {
	v.Count(path+"/slots", "Pen slots", f.Slots, 0, mostSlots)
	v.Between(path+"/slot", "A pen slot", f.Slot, 0, mostMargin)
	v.Between(path+"/short", "The short one of a pair", f.Short, 0, largest)
	v.Between(path+"/tape", "The hook-and-loop tape", f.Tape, 0, largest)
	if f.Layers != nil {
		judgeLayers(v, path+"/layers", *f.Layers)
	}
}

func judgeCloth(v *Judge, letter string, c Cloth) {
	path := finding.Path("cloths", letter)
	if strings.TrimSpace(letter) == "" || strings.Contains(letter, "/") {
		v.Stop("/cloths", fmt.Sprintf("%q cannot name a fabric.", letter), "Use a letter or a word without a slash.")
	}
	s := c.Settle()
	v.Size(path+"/width", "The width of a fabric", *s.Width)
	if *s.Usable <= 0 || *s.Usable > *s.Width {
		v.Stop(path+"/usable",
			fmt.Sprintf("%s of %s cannot be usable.", v.style.Text(*s.Usable), v.style.Text(*s.Width)),
			"Type the width between the selvedges, no wider than the fabric.")
	}
	if c.Have != nil && (*c.Have < 0 || *c.Have > mostCloth) {
		v.Stop(path+"/have", fmt.Sprintf("There cannot be %s of a fabric.", v.style.Text(*c.Have)),
			"Type the length that is left, or 0.")
	}
	v.percent(path+"/shrink", "Shrinkage", c.Shrink)
	judgeStock(v, path, c)
}

// mostCloth is longer than any roll.
const mostCloth = 100 * length.Metre

// mostMoney is more than any cloth, notion or hour costs.
const mostMoney = 1e6

// judgeMoney checks an amount of money.
func judgeMoney(v *Judge, path, what string, amount float64) {
	if !(amount >= 0 && amount <= mostMoney) {
		v.Stop(path, fmt.Sprintf("%s cannot be %g.", what, amount),
			"Type an amount such as 12.50, or 0 where nobody said.")
	}
}

// mostBolt is the longest bolt: a hundred metres.
const mostBolt = 100 * length.Metre

// judgeSold checks what a cloth is sold by.
func judgeSold(v *Judge, path string, s *Sold) {
	if s == nil {
		return
	}
	switch s.By {
	case ByQuarter:
		if s.Length != 0 {
			v.Stop(path+"/length", "A quarter has no length of its own: it is one of a yard or a metre.", "Remove its length.")
		}
	default:
		v.Between(path+"/length", "The length a fabric is sold by", s.Length, length.Inch, mostBolt)
	}
}

// judgeRepeat checks how far it is from motif to motif: a print repeats one way at least, 0 the other.
func judgeRepeat(v *Judge, path string, r *Repeat) {
	if r == nil {
		return
	}
	if r.Across != 0 || r.Along == 0 {
		v.Between(path+"/across", "From motif to motif across", r.Across, length.Inch/4, largest)
	}
	if r.Along != 0 {
		v.Between(path+"/along", "From motif to motif along the fabric", r.Along, length.Inch/4, largest)
	}
}

// judgeStock checks what the cupboard says of a cloth beside its width.
func judgeStock(v *Judge, path string, c Cloth) {
	judgeMoney(v, path+"/price", "The price of a fabric", c.Price)
	v.Between(path+"/loft", "The thickness of a fabric", c.Loft, 0, mostSeam)
	if !(c.Stretch >= 0 && c.Stretch <= 200) {
		v.Stop(path+"/stretch", fmt.Sprintf("Fabric cannot stretch by %g%%.", c.Stretch),
			"Type how much longer it can be pulled, in percent, from 0 to 200.")
	}
	judgeRepeat(v, path+"/repeat", c.Repeat)
	judgeSold(v, path+"/sold", c.Sold)
	odd := c.Odd
	if !v.few(path+"/odd", "sizes of offcuts", len(odd), mostOddSizes) {
		odd = nil
	}
	for i, o := range odd {
		at := fmt.Sprintf("%s/odd/%d", path, i)
		v.Size(at+"/width", "The width of an offcut", o.Width)
		v.Size(at+"/length", "The length of an offcut", o.Length)
		v.Count(at+"/count", "How many offcuts are alike", max(1, o.Count), 1, mostOdd)
		if o.Count < 0 {
			v.Count(at+"/count", "How many offcuts are alike", o.Count, 1, mostOdd)
		}
	}
	var kept length.Length
	for i, k := range c.Kept {
		v.Size(fmt.Sprintf("%s/kept/%d/length", path, i), "What is kept for a plan", k.Length)
		kept += k.Length
	}
	if c.Have != nil && kept > *c.Have {
		v.Stop(path+"/kept", fmt.Sprintf("%s are kept for plans, and there are %s of %s.", v.style.Text(kept),
			v.style.Text(*c.Have), c.Name),
			"Let some of it go, or put more in.")
	}
}

// mostOdd pieces are alike.
const mostOdd = 999

func judgeHabits(v *Judge, h Habits) {
	v.Between("/habits/step", "A ruler step", h.Step, length.Inch/64, length.Inch)
	v.Between("/habits/seam", "A seam allowance", h.Seam, leastSeam, mostSeam)
	if h.PiecingSeam != 0 {
		v.Between("/habits/piecing_seam", "A piecing seam", h.PiecingSeam, leastSeam, mostSeam)
	}
	v.Between("/habits/hem", "Each fold of a hem", h.Hem, length.Inch/8, 3*length.Inch)
	v.Between("/habits/ease", "The ease", h.Ease, -mostMargin, mostMargin)
	if h.Fraction != 8 && h.Fraction != 16 && h.Fraction != 32 {
		v.Stop("/habits/fraction", fmt.Sprintf("A ruler is not divided into %d.", h.Fraction), "Type 8, 16 or 32.")
	}
	if h.Wage != nil {
		judgeMoney(v, "/habits/wage", "What an hour is charged at", *h.Wage)
	}
	if h.Margin != nil && !(*h.Margin >= 0 && *h.Margin <= 1000) {
		v.Stop("/habits/margin", fmt.Sprintf("The margin cannot be %g%%.", *h.Margin),
			"Type what is added for selling, in percent, from 0 to 1000.")
	}
	if h.Pace != 0 && !(h.Pace >= 0.2 && h.Pace <= 5) {
		v.Stop("/habits/pace", fmt.Sprintf("A pace cannot be %g.", h.Pace),
			"Type how many minutes you take for each that is usual, from 0.2 to 5.")
	}
	if len(h.Currency) > 8 {
		v.Stop("/habits/currency", "The name of the money is too long.", "Type a sign or up to eight letters.")
	}
}

// heaviest a pad can be filled, in grams.
const heaviest = 20_000

func judgeMeasured(v *Judge, path string, m Measured) {
	if m.Gate == "" {
		v.Stop(path+"/gate", "A measurement needs to say at which measuring step it was taken.",
			fmt.Sprintf("Type %s, for instance.", ref.FrontQuilted))
	}
	v.Between(path+"/width", "A measured width", m.Width, 0, largest)
	v.Between(path+"/height", "A measured height", m.Height, 0, largest)
	if !(m.Weight >= 0 && m.Weight <= heaviest) {
		v.Stop(path+"/weight", fmt.Sprintf("A weight of %g g is none that fills an insert.", m.Weight),
			fmt.Sprintf("Type grams, from 0 to %d.", heaviest))
	}
	if s := m.Sides; s != nil {
		for _, d := range []struct {
			key string
			l   length.Length
		}{{"top", s.Top}, {"right", s.Right}, {"bottom", s.Bottom}, {"left", s.Left}} {
			v.Between(path+"/sides/"+d.key, "A measured side", d.l, 0, largest)
		}
	}
	if d := m.Diagonals; d != nil {
		v.Between(path+"/diagonals/falling", "A measured diagonal", d.Falling, 0, 2*largest)
		v.Between(path+"/diagonals/rising", "A measured diagonal", d.Rising, 0, 2*largest)
	}
}
