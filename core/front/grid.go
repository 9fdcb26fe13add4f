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
	key, word  string // columns, across
	sizeKey    string // width
	n          int
	whole      length.Length // finished size to be filled
	trimmed    length.Length
	top        length.Length
	take       float64
	patch      length.Length   // as it finishes in the planned grid
	borders    []length.Length // finished, inside to outside
	rest       int             // how many borders take the rest
	cut        sum.Sum         // one patch as cut
	borderCuts []sum.Sum       // across the border, as cut
}

// grid is rows of patches inside borders.
func grid(o Order) (Face, finding.List) {
	across := &axis{key: "columns", word: "across", sizeKey: "width", n: o.Face.Columns, whole: o.Finished.Width.Total(),
		trimmed: o.Trimmed.Width.Total(), top: o.Top.Width.Total(), take: o.TakeAcross, patch: o.Face.Patch.Width}
	down := &axis{key: "rows", word: "down", sizeKey: "height", n: o.Face.Rows, whole: o.Finished.Height.Total(),
		trimmed: o.Trimmed.Height.Total(), top: o.Top.Height.Total(), take: o.TakeUp, patch: o.Face.Patch.Height}
	var found finding.List
	o.solve(across, down)
	found = append(found, both(across, down, o.fill)...)
	if found.Stopped() {
		return Face{}, found
	}
	found = append(found, both(across, down, o.cuts)...)
	f := Face{Columns: across.n, Rows: down.n, Rings: len(o.Face.Borders)}
	f.Finished = sum.Size{Width: o.finished(across), Height: o.finished(down)}
	cloths, like := arrange(o.Face, o.Path)
	found = append(found, like...)
	o.patches(&f, across, down, cloths)
	o.borders(&f, across, down)
	return f, found
}

// both does a thing for both directions. What is found twice, since both are
// alike or it is about the same decision, is said once.
func both(across, down *axis, do func(*axis) finding.List) finding.List {
	found := do(across)
	alike := across.n == down.n && across.whole == down.whole && across.patch == down.patch
	for _, f := range do(down) {
		said := slices.ContainsFunc(found, func(g finding.Finding) bool { return g.Code == f.Code && (alike || g.About == f.About) })
		if !said {
			found = append(found, f)
		}
	}
	return found
}

// solve finds the patch of a grid that is to be fitted: as large as the
// borders allow, square, on the ruler where a border can take the rest.
func (o Order) solve(across, down *axis) {
	if !o.Face.Patch.Fit {
		return
	}
	for _, a := range []*axis{across, down} {
		left, rest := a.whole, false
		for _, b := range o.Face.Borders {
			if b.Width.Rest {
				left, rest = left-2*leastBorder, true
				continue
			}
			left -= 2 * b.Width.Width
		}
		a.patch = left.Div(a.n)
		if rest {
			a.patch = a.patch.Floor(o.Step)
		}
	}
	for _, b := range o.Face.Borders {
		if b.Width.Rest {
			square := min(across.patch, down.patch)
			across.patch, down.patch = square, square
		}
	}
}

// fill gives every border its width and finds what does not fit.
func (o Order) fill(a *axis) finding.List {
	var found finding.List
	text := o.Style.Text
	patches := a.patch.Times(a.n)
	if a.patch <= 0 || a.patch > a.whole {
		found.Add(finding.Stop, "patch-too-large", o.Path+"/patch/"+a.sizeKey,
			fmt.Sprintf("A patch of %s is larger than the front, which finishes %s %s.", text(a.patch), text(a.whole), a.word),
			fmt.Sprintf("%d patches %s can be up to %s.", a.n, a.word, text(a.whole.Div(a.n).Floor(o.Step))))
		return found
	}
	fixed := length.Length(0)
	for _, b := range o.Face.Borders {
		if b.Width.Rest {
			a.rest++
		} else {
			fixed += b.Width.Width
		}
	}
	if 2*fixed >= a.whole {
		found.Add(finding.Stop, "borders-too-wide", o.Path+"/borders",
			fmt.Sprintf("The borders take %s %s; the front finishes %s.", text(2*fixed), a.word, text(a.whole)),
			fmt.Sprintf("Leave room for the patches: borders of up to %s in all.", text(length.Max(0, (a.whole-patches)/2))))
		return found
	}
	left := a.whole - patches - 2*fixed
	if left < 0 || (left > 0 && a.rest == 0) || (left == 0 && a.rest > 0) {
		return o.misfit(a, patches, fixed, left)
	}
	rest := length.Length(0)
	if a.rest > 0 {
		rest = left.Div(2 * a.rest)
	}
	for _, b := range o.Face.Borders {
		w := b.Width.Width
		if b.Width.Rest {
			w = rest
		}
		a.borders = append(a.borders, w)
	}
	return found
}

// misfit says by how much a grid misses the size, and what would fit.
func (o Order) misfit(a *axis, patches, fixed, left length.Length) finding.List {
	var found finding.List
	text := o.Style.Text
	has := fmt.Sprintf("%d × %s", a.n, text(a.patch))
	if fixed > 0 {
		has += fmt.Sprintf(" and borders of 2 × %s", text(fixed))
	}
	var ways []string
	room := a.whole - 2*fixed
	if p := room.Div(a.n); p > 0 {
		ways = append(ways, fitting(o, a, room, p))
	}
	if b := (a.whole - patches) / 2; b >= leastBorder {
		ways = append(ways, fmt.Sprintf("borders of %s in all", text(b)))
	}
	if n := int(room / a.patch); n > 0 && n != a.n && a.patch.Times(n) == room {
		ways = append(ways, fmt.Sprintf("%d patches %s", n, a.word))
	}
	if left < 0 {
		found.Add(finding.Stop, "front-too-large", o.Path+"/"+a.key,
			fmt.Sprintf("%s make %s %s: %s too much for a front that finishes %s.", has, text(patches+2*fixed), a.word, text(-left), text(a.whole)),
			"What fits: "+strings.Join(ways, ", or ")+".")
		return found
	}
	if left == 0 {
		found.Add(finding.Stop, "no-rest", o.Path+"/borders",
			fmt.Sprintf("%s fill %s %s; nothing is left for a border.", has, text(a.whole), a.word), "Take the border out, or make the patches smaller.")
		return found
	}
	found.Add(finding.Stop, "front-does-not-fill", o.Path+"/"+a.key,
		fmt.Sprintf("%s make %s %s: %s are missing to %s.", has, text(patches+2*fixed), a.word, text(left), text(a.whole)),
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

// cuts sizes the patch and the borders as cut, and lets the outer border, or
// the patches, take up what quilting and trimming need.
func (o Order) cuts(a *axis) finding.List {
	var found finding.List
	each := func(kind sum.Kind, name string, finished length.Length) sum.Sum {
		return sum.Of(kind, name, finished).Between(sum.Seam, "seam allowance", o.Seam)
	}
	grow := (a.top - a.trimmed) / 2
	a.cut = each(sum.Part, "patch, finished", a.patch)
	for i, b := range a.borders {
		cut := each(sum.Border, fmt.Sprintf("border %d, finished", i+1), b)
		if i == len(a.borders)-1 {
			cut = cut.Plus(sum.Squaring, "trimmed off after quilting", o.Margin).
				Plus(sum.TakeUp, "half of what quilting takes", grow-o.Margin).UpTo(o.Step)
		}
		a.borderCuts = append(a.borderCuts, cut)
	}
	if len(a.borders) == 0 && grow > 0 {
		found = append(found, o.withoutBorder(a, grow)...)
	}
	if !a.cut.Total().OnStep(o.Step) {
		cut := a.cut.Total()
		found.Add(finding.Warn, "patch-off-ruler", o.Path+"/patch/"+a.sizeKey,
			fmt.Sprintf("The patch is cut %s, which is not on a ruler with steps of %s.", o.Style.Text(cut), o.Style.Text(o.Step)),
			fmt.Sprintf("On the ruler are finished patches of %s and %s.", o.Style.Text(cut.Floor(o.Step)-2*o.Seam), o.Style.Text(cut.Ceil(o.Step)-2*o.Seam)))
	}
	return found
}

// withoutBorder lets the patches grow, or says by how much the cover shrinks.
func (o Order) withoutBorder(a *axis, grow length.Length) finding.List {
	var found finding.List
	text := o.Style.Text
	small := o.smaller(a)
	grown := a.cut.Plus(sum.Squaring, "share of what is trimmed off", (2*o.Margin).Div(a.n)).
		Plus(sum.TakeUp, "share of what quilting takes", (2 * (grow - o.Margin)).Div(a.n)).UpTo(o.Step)
	if o.Absorb == plan.AbsorbAccept {
		found.Add(finding.Warn, "cover-smaller", o.Path+"/patch/"+a.sizeKey,
			fmt.Sprintf("Quilted and trimmed, the front finishes %s %s instead of %s: %s smaller.", text(small), a.word, text(a.whole), text(a.whole-small)),
			fmt.Sprintf("Cut the patches %s instead, or add a border.", text(grown.Total())))
		return found
	}
	a.cut = grown
	shows := grown.Total() - 2*o.Seam
	quilted := length.FromFloat((shows.Times(a.n) + 2*o.Seam).Float() * (1 - a.take))
	inner := length.FromFloat(shows.Float() * (1 - a.take))
	outer := inner - (quilted-a.trimmed)/2
	level, spare := finding.Warn, ""
	if outer < o.Seam {
		level, spare = finding.Stop, " That leaves less than a seam."
	}
	found.Add(level, "patch-grown", o.Path+"/patch/"+a.sizeKey,
		fmt.Sprintf("No border takes up the trimming and the quilting, so patches are cut %s %s; trimmed evenly, the outer ones show %s and the others %s.%s",
			text(grown.Total()), a.word, text(outer), text(inner), spare),
		fmt.Sprintf("Add a border, or keep the patches and accept a front of %s.", text(small)))
	return found
}

// accepted reports whether a direction finishes smaller, the loss being
// accepted.
func (o Order) accepted(a *axis) bool {
	return o.Absorb == plan.AbsorbAccept && len(a.borders) == 0 && a.top > a.trimmed
}

// smaller is what a direction finishes when the loss is accepted.
func (o Order) smaller(a *axis) length.Length {
	sewn := a.patch.Times(a.n) + 2*o.Seam
	return length.FromFloat(sewn.Float()*(1-a.take)) - 2*o.Margin - 2*o.Seam
}

// finished is a direction as its parts lie side by side, less an accepted
// loss, which is taken evenly so that opposite sides stay alike.
func (o Order) finished(a *axis) sum.Sum {
	s := a.spread()
	if !o.accepted(a) {
		return s
	}
	lost := s.Total() - o.smaller(a)
	return s.Between(sum.TakeUp, "lost to quilting and trimming", -(lost+lost%2)/2)
}

// spread is the finished direction as its parts lie side by side.
func (a *axis) spread() sum.Sum {
	var left, right sum.Sum
	for i, b := range a.borders {
		t := sum.Term{Name: fmt.Sprintf("border %d", i+1), Amount: b, Kind: sum.Border}
		left = append(sum.Sum{t}, left...)
		right = append(right, t)
	}
	return left.Then(sum.Repeat(a.n, sum.Part, "patch", a.patch)).Then(right)
}

// patches makes the parts and cells of the grid.
func (o Order) patches(f *Face, across, down *axis, cloths [][]string) {
	size := sum.Size{Width: across.cut, Height: down.cut}
	part := map[string]int{}
	for _, c := range order(cloths) {
		part[c] = len(f.Parts)
		f.Parts = append(f.Parts, Part{Name: "patch." + c, Title: "Patch", Role: Patch, Cloth: c, Size: size})
	}
	x0, y0 := total(across.borders), total(down.borders)
	side, end := o.reach(across), o.reach(down)
	for r, row := range cloths {
		y, h := stretch(y0+down.patch.Times(r), down.patch, r, down.n, len(down.borders) == 0, end)
		for c, cloth := range row {
			x, w := stretch(x0+across.patch.Times(c), across.patch, c, across.n, len(across.borders) == 0, side)
			f.Parts[part[cloth]].Count++
			f.Cells = append(f.Cells, Cell{Part: part[cloth], X: x, Y: y, Width: w, Height: h, Row: r + 1, Column: c + 1})
		}
	}
	sewn := func(a *axis) sum.Sum {
		return sum.Repeat(a.n, sum.Part, "patch", a.cut.Total()-2*o.Seam).Between(sum.Seam, "seam allowance", o.Seam)
	}
	f.Sewn = sum.Size{Width: sewn(across), Height: sewn(down)}
}

// reach is how far the outermost cells stand out beyond the finished line.
func (o Order) reach(a *axis) length.Length {
	if o.accepted(a) {
		return o.Seam
	}
	return o.Seam + (a.top-a.trimmed)/2
}

// stretch draws the outermost of n cells out to the cut edge.
func stretch(at, size length.Length, i, n int, outermost bool, reach length.Length) (length.Length, length.Length) {
	if outermost && i == 0 {
		at, size = at-reach, size+reach
	}
	if outermost && i == n-1 {
		size += reach
	}
	return at, size
}

func total(ls []length.Length) (t length.Length) {
	for _, l := range ls {
		t += l
	}
	return t
}

// order is every cloth once, as first met row by row.
func order(cloths [][]string) []string {
	var out []string
	seen := map[string]bool{}
	for _, row := range cloths {
		for _, c := range row {
			if !seen[c] {
				seen[c] = true
				out = append(out, c)
			}
		}
	}
	return out
}

// borders sews each border on: the sides to the height as it is, then the runs
// across everything.
func (o Order) borders(f *Face, across, down *axis) {
	raw := f.Sewn
	x, y := total(across.borders), total(down.borders)
	w, h := f.Finished.Width.Total()-2*x, f.Finished.Height.Total()-2*y
	for i, b := range o.Face.Borders {
		side, run := across.borderCuts[i], down.borderCuts[i]
		outer := i == len(o.Face.Borders)-1
		name := fmt.Sprintf("border.%d", i+1)
		sidePart := Part{Name: name + ".side", Title: borderTitle(i, len(o.Face.Borders), "sides"), Role: BorderEnd, Cloth: b.Cloth,
			Size: sum.Size{Width: side, Height: raw.Height}, Count: 2, Ring: i + 1}
		raw.Width = joined(raw.Width, side, o.Seam, i+1)
		runPart := Part{Name: name + ".run", Title: borderTitle(i, len(o.Face.Borders), "top and bottom"), Role: BorderRun, Cloth: b.Cloth,
			Size: sum.Size{Width: raw.Width, Height: run}, Count: 2, Ring: i + 1}
		raw.Height = joined(raw.Height, run, o.Seam, i+1)
		at := len(f.Parts)
		f.Parts = append(f.Parts, sidePart, runPart)
		bw, bh := across.borders[i], down.borders[i]
		outX, outY := length.Length(0), length.Length(0)
		if outer {
			outX = o.reach(across)
			outY = o.reach(down)
		}
		f.Cells = append(f.Cells,
			Cell{Part: at, X: x - bw - outX, Y: y, Width: bw + outX, Height: h},
			Cell{Part: at, X: x + w, Y: y, Width: bw + outX, Height: h},
			Cell{Part: at + 1, X: x - bw - outX, Y: y - bh - outY, Width: w + 2*(bw+outX), Height: bh + outY},
			Cell{Part: at + 1, X: x - bw - outX, Y: y + h, Width: w + 2*(bw+outX), Height: bh + outY})
		x, y, w, h = x-bw, y-bh, w+2*bw, h+2*bh
	}
	f.Sewn = raw
}

// joined is a raw size with a border sewn to both ends: each join loses a seam
// from both sides.
func joined(raw, cut sum.Sum, seam length.Length, ring int) sum.Sum {
	inner := raw[1 : len(raw)-1] // without the raw edges, which go into the seam
	shows := sum.Of(sum.Border, fmt.Sprintf("border %d as cut, less its seams", ring), cut.Total()-2*seam)
	return shows.Then(inner).Then(shows).Between(sum.Seam, "seam allowance", seam)
}

func borderTitle(i, n int, where string) string {
	if n == 1 {
		return "Border, " + where
	}
	return fmt.Sprintf("Border %d, %s", i+1, where)
}
