package front

import (
	"fmt"
	"slices"
	"strings"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sum"
)

// leastBorder is the narrowest border worth sewing. Common practice.
const leastBorder = length.Inch / 2

// axis is one direction of a grid.
type axis struct {
	key, word string // columns, across
	sizeKey   string // width
	n         int
	whole     length.Length // finished size to be filled
	trimmed   length.Length
	top       length.Length
	low, high length.Length // what its first and last edge grow by
	// rimLow and rimHigh are how much wider the seam round the face is than those within it, at its first and its last
	// edge; below nothing where it is narrower.
	rimLow, rimHigh length.Length
	outer           bool // the outermost patches are cut wider for it
	given           bool // patches are given as they are cut: they do not grow
	take            float64
	// patch as it finishes in the planned grid; on point the diagonal of a block.
	patch   length.Length
	sash    length.Length
	outside bool
	point   bool
	// lowHeld and highHeld edges are sewn to another face.
	lowHeld, highHeld bool
	borders           []length.Length // finished, inside to outside
	rest              int             // how many borders take the rest
	float             length.Length   // what setting triangles have beyond the blocks, on each side
	off               length.Length   // what the last patch or sash shows more than the others, so that it closes
	over              length.Length   // what patches that are too much stand out, on both sides together
	cut               sum.Sum         // one patch as cut
	sashCut           sum.Sum
	sashLow, sashHigh sum.Sum // the outermost sashes, which may have grown
	borderLow         []sum.Sum
	borderHigh        []sum.Sum
}

// axesOf are both directions of a grid.
func axesOf(o Order) (across, down *axis) {
	f := o.Face
	across = &axis{key: "columns", word: "across", sizeKey: "width", n: f.Columns, whole: o.Finished.Width.Total(),
		trimmed: o.Trimmed.Width.Total(), top: o.Top.Width.Total(), take: o.TakeAcross, patch: f.Patch.Width,
		given:   f.Patch.WidthCut != 0,
		lowHeld: o.Held.Left, highHeld: o.Held.Right}
	down = &axis{key: "rows", word: "down", sizeKey: "height", n: f.Rows, whole: o.Finished.Height.Total(),
		trimmed: o.Trimmed.Height.Total(), top: o.Top.Height.Total(), take: o.TakeUp, patch: f.Patch.Height,
		given:   f.Patch.HeightCut != 0,
		lowHeld: o.Held.Top, highHeld: o.Held.Bottom}
	across.low, across.high = grow(o.Top.Width, o.Trimmed.Width, o.Held.Left, o.Held.Right)
	down.low, down.high = grow(o.Top.Height, o.Trimmed.Height, o.Held.Top, o.Held.Bottom)
	across.rimLow, across.rimHigh = o.edge(o.Held.Left)-o.Seam, o.edge(o.Held.Right)-o.Seam
	down.rimLow, down.rimHigh = o.edge(o.Held.Top)-o.Seam, o.edge(o.Held.Bottom)-o.Seam
	for _, a := range []*axis{across, down} {
		a.point = f.Set == plan.OnPoint
		if f.Sash != nil {
			a.sash, a.outside = f.Sash.Width, f.Sash.Outside
		}
	}
	return across, down
}

// gaps is how many sashes lie in the direction.
func (a *axis) gaps() int {
	switch {
	case a.sash == 0:
		return 0
	case a.outside:
		return a.n + 1
	}
	return a.n - 1
}

// sashes is what all sashes take of the direction.
func (a *axis) sashes() length.Length { return a.sash.Times(a.gaps()) }

// inside is the grid without its borders.
func (a *axis) inside() length.Length { return a.patch.Times(a.n) + a.sashes() }

// bare reports whether patches lie at the rim, so that nothing takes up what is
// trimmed off.
func (a *axis) bare() bool { return len(a.borders) == 0 && (a.sash == 0 || !a.outside) && !a.point }

// rims is how much wider the seams at both edges are than those within the face.
func (a *axis) rims() length.Length { return a.rimLow + a.rimHigh }

// grows reports whether anything is trimmed off or taken.
func (a *axis) grows() bool { return a.low+a.high > 0 }

// both does a thing for both directions. What is found twice, since both are
// alike or it is about the same decision, is said once.
func both(across, down *axis, do func(*axis) finding.List) finding.List {
	found := do(across)
	alike := across.n == down.n && across.whole == down.whole && across.patch == down.patch
	for _, f := range do(down) {
		said := slices.ContainsFunc(found,
			func(g finding.Finding) bool { return g.Code == f.Code && (alike || g.About == f.About) })
		if !said {
			found = append(found, f)
		}
	}
	return found
}

// solvePatch finds the patch of a grid that is to be fitted: as large as the
// borders allow, square, on the ruler where something can take the rest.
func solvePatch(o Order, across, down *axis) {
	if !o.Face.Patch.Fit {
		return
	}
	floats := across.point
	for _, a := range []*axis{across, down} {
		left, rest := a.whole-a.sashes(), floats
		for i, b := range o.Face.Borders {
			if b.Width.Rest {
				left, rest, floats = left-2*leastBorder, true, true
				continue
			}
			left -= 2 * borderOf(o, a, i)
		}
		a.patch = left.Div(a.n)
		if rest && !a.point {
			a.patch = a.patch.Floor(o.Step)
		}
	}
	if floats {
		square := min(across.patch, down.patch)
		across.patch, down.patch = square, square
	}
}

// fillAxis gives every border its width and finds what does not fit.
func fillAxis(o Order, a *axis) finding.List {
	var found finding.List
	text := o.Style.Text
	if a.patch <= 0 || a.patch > a.whole+length.Close {
		found.Add(finding.Stop, "patch-too-large", o.Path+"/patch/"+a.sizeKey,
			fmt.Sprintf("A %s of %s is larger than the front, which finishes %s %s.", thing(o, a), text(a.patch),
				text(a.whole), a.word),
			fmt.Sprintf("%d patches %s can be up to %s.", a.n, a.word,
				text(length.Max(0, a.whole-a.sashes()).Div(a.n).Floor(o.Step))))
		return found
	}
	if !a.point && o.Face.Kind != plan.FoundFace && a.patch < o.Seam {
		return narrow(o, fmt.Sprintf("Patches of %s", text(a.patch)))
	}
	if last := len(o.Face.Borders) - 1; last >= 0 {
		if said := allSeams(o, fmt.Sprintf("/borders/%d/width", last), o.Face.Borders[last].Width,
			borderOf(o, a, last)); said != nil {
			return said
		}
	}
	fixed := length.Length(0)
	for i, b := range o.Face.Borders {
		if b.Width.Rest {
			a.rest++
		} else {
			fixed += borderOf(o, a, i)
		}
	}
	if 2*fixed >= a.whole {
		found.Add(finding.Stop, "borders-too-wide", o.Path+"/borders",
			fmt.Sprintf("The borders take %s %s; the front finishes %s.", text(2*fixed), a.word, text(a.whole)),
			fmt.Sprintf("Leave room for the patches: borders of up to %s in all.",
				text(length.Max(0, (a.whole-a.inside())/2))))
		return found
	}
	left := a.whole - a.inside() - 2*fixed
	floats := a.point && a.rest == 0
	if a.rest == 0 && !floats && left.Abs() <= length.Close {
		a.off, left = left, 0
	}
	if left < 0 && a.overhangs(o) && -left <= 2*(a.patch-plan.LeastStrip) && -left >= a.rims() {
		a.over = -left + (-left)%2
		a.off, left = a.over+left, 0
	}
	if left < 0 || (left > 0 && a.rest == 0 && !floats) || (left == 0 && a.rest > 0) {
		return misfitOf(o, a, fixed, left)
	}
	rest := length.Length(0)
	switch {
	case a.rest > 0:
		rest = left.Div(2 * a.rest)
		a.off = left - rest.Times(2*a.rest)
	case floats:
		a.float = left / 2
	}
	for i, b := range o.Face.Borders {
		w := borderOf(o, a, i)
		if b.Width.Rest {
			w = rest
		}
		a.borders = append(a.borders, w)
	}
	return found
}

// borderOf is what a border finishes in a direction: one that is given as it is cut loses what is trimmed off and taken
// where it is the outermost.
func borderOf(o Order, a *axis, i int) length.Length {
	w := o.Face.Borders[i].Width
	if w.Cut == 0 || i < len(o.Face.Borders)-1 {
		return w.Width
	}
	return w.Width - max(a.low, a.high)
}

// allSeams finds a part at the rim that is given as it is cut and is all seams and what quilting takes.
func allSeams(o Order, at string, e plan.Extent, shows length.Length) finding.List {
	if e.Cut == 0 || shows >= plan.LeastStrip {
		return nil
	}
	text, least := o.Style.Text, (e.Cut - shows + plan.LeastStrip).Ceil(o.Step)
	var found finding.List
	found.Add(finding.Stop, "out-of-range", o.Path+at,
		fmt.Sprintf("Cut %s it is all seams and what is trimmed off and taken by quilting, %s together.", text(e.Cut),
			text(e.Cut-shows)), fmt.Sprintf("Type %s cut or more, or what it finishes.", text(least)))
	found[0].Nearest = o.Style.Plain(least) + " cut"
	return found
}

// narrow finds what is narrower than the seams at its sides.
func narrow(o Order, what string) finding.List {
	var found finding.List
	found.Add(finding.Stop, "seam-too-wide", "/cover/piecing_seam",
		fmt.Sprintf("%s are narrower than the piecing seam, %s: the allowances of both sides would lie beyond them.", what,
			o.Style.Text(o.Seam)),
		"Sew them with a narrower seam, or plan fewer and larger ones.")
	return found
}

// overhangs reports whether patches that are too much may stand out over the edges, to be trimmed off: nothing goes
// round them, and nothing else is trimmed off or sewn on there.
func (a *axis) overhangs(o Order) bool {
	bare := len(o.Face.Borders) == 0 && (a.sash == 0 || !a.outside) && !a.point
	return o.Face.Overhang && o.Face.Columns*o.Face.Rows > 1 && bare && !a.grows() && !a.lowHeld && !a.highHeld
}

// squared is a size of which what stands out, but for what stays on for the seam at both edges together, is trimmed off
// its first and its last patch.
func (a *axis) squared(s sum.Sum, stays length.Length) sum.Sum {
	off := a.over - stays
	if a.over == 0 {
		return s
	}
	patch := func(t sum.Term) bool { return t.Kind == sum.Part }
	first, last := slices.IndexFunc(s, patch), len(s)-1
	for last > first && !patch(s[last]) {
		last--
	}
	var out sum.Sum
	for i, t := range s {
		if out = append(out, t); i == first {
			out = out.Plus(sum.Squaring, "trimmed off when it is squared up", -off/2)
		}
		if i == last {
			out = out.Plus(sum.Squaring, "trimmed off when it is squared up", off/2-off)
		}
	}
	return out
}

// thing is what stands in the direction.
func thing(o Order, a *axis) string {
	switch {
	case a.point:
		return "block, from point to point,"
	case o.Face.Kind == plan.FoundFace:
		return "panel"
	}
	return "patch"
}

// onRuler tells between which finished sizes on the ruler something lies that is cut off it.
func onRuler(o Order, one, several string, cut length.Length) string {
	low, high := cut.Floor(o.Step)-2*o.Seam, cut.Ceil(o.Step)-2*o.Seam
	if low <= 0 {
		return fmt.Sprintf("On the ruler is a finished %s of %s.", one, o.Style.Text(high))
	}
	return fmt.Sprintf("On the ruler are finished %s of %s and %s.", several, o.Style.Text(low), o.Style.Text(high))
}

// misfitOf says by how much a grid misses the size, and what would fit.
func misfitOf(o Order, a *axis, fixed, left length.Length) finding.List {
	var found finding.List
	text := o.Style.Text
	has := fmt.Sprintf("%d × %s", a.n, text(a.patch))
	if a.gaps() > 0 {
		has += fmt.Sprintf(", sashing of %d × %s", a.gaps(), text(a.sash))
	}
	if fixed > 0 {
		has += fmt.Sprintf(" and borders of 2 × %s", text(fixed))
	}
	var ways []string
	room := a.whole - 2*fixed - a.sashes()
	switch p := room.Div(a.n); {
	case p > 0 && a.point:
		ways = append(ways, "blocks of up to "+text(sideOf(p).Floor(o.Step)))
	case p > 0:
		ways = append(ways, fitting(o, a, room, p))
	}
	if b := (a.whole - a.inside()) / 2; b >= leastBorder {
		ways = append(ways, fmt.Sprintf("borders of %s in all", text(b)))
	}
	if n := int(room / a.patch); n > 0 && n != a.n && a.patch.Times(n) == room && a.sash == 0 {
		ways = append(ways, fmt.Sprintf("%d patches %s", n, a.word))
	}
	if len(ways) == 0 {
		ways = append(ways, "fewer patches, or narrower sashing and borders")
	}
	fills := text(a.inside() + 2*fixed)
	if left < 0 {
		found.Add(finding.Stop, "front-too-large", o.Path+"/"+a.key,
			fmt.Sprintf("%s make %s %s: %s too much for a front that finishes %s.", has, fills, a.word, text(-left),
				text(a.whole)),
			"What fits: "+strings.Join(ways, ", or ")+".")
		return found
	}
	if left == 0 {
		found.Add(finding.Stop, "no-rest", o.Path+"/borders",
			fmt.Sprintf("%s fill %s %s; nothing is left for a border.", has, text(a.whole), a.word),
			"Remove the border, or make the patches smaller.")
		return found
	}
	found.Add(finding.Stop, "front-does-not-fill", o.Path+"/"+a.key,
		fmt.Sprintf("%s make %s %s: %s short of %s.", has, fills, a.word, text(left), text(a.whole)),
		"What fits: "+strings.Join(ways, ", or ")+".")
	return found
}

// fitting names the patch that fits the room, or the nearest on the ruler.
func fitting(o Order, a *axis, room, p length.Length) string {
	text := o.Style.Text
	if p.OnStep(o.Step) && p.Times(a.n) == room {
		return "patches of " + text(p)
	}
	down := p.Floor(o.Step)
	return fmt.Sprintf("patches of %s or %s with a border taking the rest", text(down), text(down-o.Step))
}

// allowed is a finished width with a seam on both sides.
func (o Order) allowed(kind sum.Kind, name string, finished length.Length) sum.Sum {
	return sum.Of(kind, name, finished).Between(sum.Seam, "seam allowance", o.Seam)
}

// edge is what the face has beyond its finished line at an edge: the seam to its neighbour in a stack where it is held,
// else the one that closes the cover.
func (o Order) edge(held bool) length.Length {
	if held {
		return o.Seam
	}
	return o.Seam + o.Rim
}

// rimmed is a cut with what a wider seam round the face takes at its outer edge.
func rimmed(cut sum.Sum, rim length.Length) sum.Sum {
	name := "the seam round it is wider"
	if rim < 0 {
		name = "the seam round it is narrower"
	}
	return cut.Plus(sum.Seam, name, rim)
}

// grown is a cut that takes up what quilting, trimming and the seam round the face need at its outer edge.
func (o Order) grown(cut sum.Sum, a *axis, grow, rim length.Length) sum.Sum {
	return taken(o, cut, a, grow, rim).UpTo(o.Step)
}

// taken is the same before it goes up to the ruler.
func taken(o Order, cut sum.Sum, a *axis, grow, rim length.Length) sum.Sum {
	cut = rimmed(cut, rim)
	if grow == 0 {
		return cut
	}
	share := "half of what quilting takes"
	if a.low != a.high {
		share = "what quilting takes, all at this edge"
	}
	margin := min(o.Margin, grow)
	return cut.Plus(sum.Squaring, "trimmed off after quilting", margin).Plus(sum.TakeUp, share, grow-margin)
}

// outermost is a part at the rim as it is cut: what is given so stays as it is.
func outermost(o Order, e plan.Extent, cut sum.Sum, a *axis, grow, rim length.Length) sum.Sum {
	if e.Cut != 0 {
		return taken(o, cut, a, grow, rim)
	}
	return o.grown(cut, a, grow, rim)
}

// cutAxis sizes the patch, the sashes and the borders as cut, and lets the outer border,
// the outside sash or the patches take up what quilting and trimming need.
func cutAxis(o Order, a *axis) finding.List {
	var found finding.List
	a.cut = o.allowed(sum.Part, "patch, finished", a.patch)
	if a.sash > 0 {
		a.sashCut = o.allowed(sum.Border, "sashing, finished", a.sash)
		a.sashLow, a.sashHigh = a.sashCut, a.sashCut
		if a.outside && len(a.borders) == 0 {
			a.sashLow, a.sashHigh = o.grown(a.sashCut, a, a.low, a.rimLow), o.grown(a.sashCut, a, a.high,
				a.rimHigh)
		}
	}
	for i, b := range a.borders {
		low := o.allowed(sum.Border, fmt.Sprintf("border %d, finished", i+1), b)
		high := low
		if i == len(a.borders)-1 {
			w := o.Face.Borders[i].Width
			low, high = outermost(o, w, low, a, a.low, a.rimLow), outermost(o, w, high, a, a.high, a.rimHigh)
		}
		a.borderLow, a.borderHigh = append(a.borderLow, low), append(a.borderHigh, high)
	}
	switch {
	case !a.bare() || a.over > 0:
	case a.grows():
		found = append(found, growPatches(o, a)...)
	case a.rims() != 0:
		found = append(found, rimPatches(o, a)...)
	}
	if cut := a.cut.Total(); !a.point && !cut.OnStep(o.Step) {
		found.Add(finding.Warn, "patch-off-ruler", o.Path+"/patch/"+a.sizeKey,
			fmt.Sprintf("The patch is cut %s, which is not on a ruler with steps of %s.", o.Style.Text(cut),
				o.Style.Text(o.Step)),
			onRuler(o, "patch", "patches", cut))
	}
	return found
}

// cutOf is the i-th patch as cut: the outermost wider or narrower where they take up the seam round the face.
func (a *axis) cutOf(i int) sum.Sum {
	cut := a.cut
	if a.outer && i == 0 {
		cut = rimmed(cut, a.rimLow)
	}
	if a.outer && i == a.n-1 {
		cut = rimmed(cut, a.rimHigh)
	}
	return cut
}

// rimmedAt reports whether the i-th patch is cut otherwise than those within the face.
func (a *axis) rimmedAt(i int) bool { return a.cutOf(i).Total() != a.cut.Total() }

// rimPatches says what takes up a seam round a face of patches that is wider or narrower than those within it: the
// outermost patches, all of them, or the cover; a part of a stack has to fill its place. What is alike at the rim
// cannot be cut wider there alone.
func rimPatches(o Order, a *axis) finding.List {
	var found finding.List
	text := o.Style.Text
	how, more := "wider", a.rims()
	if more < 0 {
		how, more = "narrower", -more
	}
	round := fmt.Sprintf("The seam round the front is %s than the piecing seam", how)
	switch {
	case lossAccepted(o, a):
		is := smallerSize(o, a)
		found.Add(finding.Warn, "cover-smaller", o.Path+"/patch/"+a.sizeKey,
			fmt.Sprintf("%s, and all patches are cut alike: it finishes %s %s instead of %s, and the outer ones show %s instead of %s.",
				round, text(is), a.word, text(a.whole), text(a.patch-a.rimLow), text(a.patch)),
			fmt.Sprintf("Cut the outer ones %s %s, or add a border.", text(more/2), how))
	case absorbed(o, a) == plan.AbsorbPatch || o.alike:
		a.cut = a.cut.Plus(sum.Seam, "share of the seam round it, which is "+how, a.rims().Div(a.n))
		inner := a.cut.Total() - 2*o.Seam
		found.Add(finding.Warn, "patch-grown", o.Path+"/patch/"+a.sizeKey,
			fmt.Sprintf("%s, and no border takes that up: all patches are cut %s %s; the outer ones show %s and the others %s.",
				round, text(a.cut.Total()), a.word, text(inner-a.rimLow), text(inner)),
			fmt.Sprintf("Add a border, or keep the patches and accept a front of %s.", text(smallerSize(o, a))))
	default:
		a.outer = true
		found.Add(finding.Note, "rim-cut", o.Path+"/patch",
			fmt.Sprintf("%s by %s: the outermost patches are cut that much %s at the edge.", round,
				text(max(a.rimLow.Abs(), a.rimHigh.Abs())), how),
			"Add a border where all patches are to be cut alike.")
	}
	return found
}

// growPatches lets the patches grow, or says by how much the cover shrinks.
func growPatches(o Order, a *axis) finding.List {
	var found finding.List
	text := o.Style.Text
	small := smallerSize(o, a)
	margins := marginsOf(o, a)
	grown := a.cut.Plus(sum.Squaring, "share of what is trimmed off", margins.Div(a.n)).
		Plus(sum.Seam, "share of the wider seam round it", a.rims().Div(a.n)).
		Plus(sum.TakeUp, "share of what quilting takes", (a.low + a.high - margins).Div(a.n)).UpTo(o.Step)
	if absorbed(o, a) == plan.AbsorbAccept {
		found.Add(finding.Warn, "cover-smaller", o.Path+"/patch/"+a.sizeKey,
			fmt.Sprintf("Quilted and trimmed, the front finishes %s %s instead of %s: %s smaller.", text(small), a.word,
				text(a.whole), text(a.whole-small)),
			fmt.Sprintf("Cut the patches %s instead, or add a border.", text(grown.Total())))
		return found
	}
	a.cut = grown
	shows := grown.Total() - 2*o.Seam
	quilted := length.FromFloat((shows.Times(a.n) + a.sashes() + 2*o.Seam).Float() * (1 - a.take))
	inner := length.FromFloat(shows.Float() * (1 - a.take))
	outer := inner - (quilted+a.rims()-a.trimmed)/2 - a.rims()/2
	level, spare := finding.Warn, ""
	if outer < o.Seam+a.rimLow {
		level, spare = finding.Stop, " That leaves less than a seam."
	}
	found.Add(level, "patch-grown", o.Path+"/patch/"+a.sizeKey,
		fmt.Sprintf("No border takes up the trimming and the quilting, so patches are cut %s %s; trimmed evenly, the outer ones show %s and the others %s.%s",
			text(grown.Total()), a.word, text(outer), text(inner), spare),
		fmt.Sprintf("Add a border, or keep the patches and accept a front of %s.", text(small)))
	return found
}

// marginsOf is what is trimmed off at both ends.
func marginsOf(o Order, a *axis) length.Length {
	return min(o.Margin, a.low) + min(o.Margin, a.high)
}

// absorbed is what takes up a loss: patches that are given as they are cut do not.
func absorbed(o Order, a *axis) plan.Absorb {
	if a.given {
		return plan.AbsorbAccept
	}
	return o.Absorb
}

// lossAccepted reports whether a direction finishes smaller, the loss being
// accepted.
func lossAccepted(o Order, a *axis) bool {
	return absorbed(o, a) == plan.AbsorbAccept && a.bare() && (a.grows() || a.rims() != 0 && o.In == "") && a.over == 0
}

// smallerSize is what a direction finishes when the loss is accepted.
func smallerSize(o Order, a *axis) length.Length {
	sewn := a.inside() + 2*o.Seam
	return length.FromFloat(sewn.Float()*(1-a.take)) - marginsOf(o, a) - 2*o.Seam - a.rims()
}

// finishedSum is a direction as its parts lie side by side, less an accepted
// loss, which is taken evenly so that opposite sides stay alike.
func finishedSum(o Order, a *axis) sum.Sum {
	s := a.spread()
	if !lossAccepted(o, a) {
		return s
	}
	lost := s.Total() - smallerSize(o, a)
	name := "lost to quilting and trimming"
	if !a.grows() {
		name = "taken by the wider seam round it"
	}
	return s.Between(sum.TakeUp, name, -(lost+lost%2)/2)
}

// spread is the finished direction as its parts lie side by side.
func (a *axis) spread() sum.Sum {
	var left, right sum.Sum
	for i, b := range a.borders {
		t := sum.Term{Name: fmt.Sprintf("border %d", i+1), Amount: b, Kind: sum.Border}
		left = append(sum.Sum{t}, left...)
		right = append(right, t)
	}
	name := "patch"
	if a.point {
		name = "block, point to point"
	}
	s := a.squared(closed(a.sides(sum.Repeat(a.n, sum.Part, name, a.patch),
		func(int) length.Length { return a.sash }), a.off), 0).
		Between(sum.Part, "setting triangles beyond the blocks", a.float)
	if rest := a.whole - s.Total() - left.Total() - right.Total(); a.point && rest != 0 { // half a nanometre
		s = s.Taking(0, rest)
	}
	return left.Then(s).Then(right)
}

// closed is parts side by side with what they miss the whole by: a term of its own, but for what
// dividing leaves over, which the last part takes without a word.
func closed(s sum.Sum, off length.Length) sum.Sum {
	if off.Abs() > length.Hair {
		return s.Plus(sum.Rounding, "rounding", off)
	}
	return s.Taking(len(s)-1, off)
}

// sides is patches with the sashes between and round them; gap is the i-th sash.
func (a *axis) sides(patches sum.Sum, gap func(i int) length.Length) sum.Sum {
	if a.gaps() == 0 {
		return patches
	}
	var s sum.Sum
	at := 0
	sash := func() {
		s = append(s, sum.Term{Name: "sash", Amount: gap(at), Kind: sum.Border})
		at++
	}
	if a.outside {
		sash()
	}
	for i, p := range patches {
		if i > 0 {
			sash()
		}
		s = append(s, p)
	}
	if a.outside {
		sash()
	}
	return s
}

// sewnSum is a direction of the grid with its raw edges, as its cuts come out.
func sewnSum(o Order, a *axis) sum.Sum {
	last := a.gaps() - 1
	patches := make(sum.Sum, a.n)
	for i := range patches {
		patches[i] = sum.Term{Name: "patch", Amount: a.cutOf(i).Total() - 2*o.Seam, Kind: sum.Part}
	}
	return a.sides(patches,
		func(i int) length.Length { return a.sashOf(i, last).Total() - 2*o.Seam }).
		Between(sum.Seam, "seam allowance", o.Seam)
}

// sashOf is the i-th sash as cut.
func (a *axis) sashOf(i, last int) sum.Sum {
	switch {
	case a.outside && i == 0:
		return a.sashLow
	case a.outside && i == last:
		return a.sashHigh
	}
	return a.sashCut
}

// reachAxis is how far the outermost cells stand out beyond the finished line.
func reachAxis(o Order, a *axis) (low, high length.Length) {
	low, high = o.Seam+a.rimLow+a.low, o.Seam+a.rimHigh+a.high
	if lossAccepted(o, a) {
		low, high = o.Seam, o.Seam
	}
	if a.lowHeld {
		low = 0
	}
	if a.highHeld {
		high = 0
	}
	return low, high
}

// slot is one patch or sash of a direction where it lies.
type slot struct {
	sash     bool
	i        int // which patch or sash, from 0
	at, size length.Length
	// starts is where it finishes, which is not where it begins at the rim.
	starts length.Length
	cut    sum.Sum
}

// slotsOf are the patches and sashing of a direction in order. At the rim of a face
// without borders the outermost reaches out to the cut edge.
func slotsOf(o Order, a *axis) []slot {
	at := total(a.borders) - a.over/2
	if lossAccepted(o, a) && !a.grows() {
		at = -a.rimLow
	}
	var out []slot
	gap := 0
	sash := func() {
		out = append(out, slot{sash: true, i: gap, at: at, starts: at, size: a.sash, cut: a.sashOf(gap, a.gaps()-1)})
		at += a.sash
		gap++
	}
	for i := range a.n {
		if a.gaps() > 0 && (i > 0 || a.outside) {
			sash()
		}
		out = append(out, slot{i: i, at: at, starts: at, size: a.patch, cut: a.cutOf(i)})
		at += a.patch
	}
	if a.gaps() > 0 && a.outside {
		sash()
	}
	out[len(out)-1].size += a.off
	if len(a.borders) > 0 {
		return out
	}
	low, high := reachAxis(o, a)
	out[0].at -= low
	out[0].size += low
	out[len(out)-1].size += high
	return out
}

func total(ls []length.Length) (t length.Length) {
	for _, l := range ls {
		t += l
	}
	return t
}
