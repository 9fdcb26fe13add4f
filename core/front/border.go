package front

import (
	"fmt"
	"math"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// borders sews each border on, from inside to outside.
func (o Order) borders(f *Face, across, down *axis) finding.List {
	var found finding.List
	raw := f.Sewn
	if o.After && len(o.Face.Borders) > 0 {
		raw = sum.Size{Width: drawnIn(raw.Width, o.TakeAcross), Height: drawnIn(raw.Height, o.TakeUp)}
		f.Quilted = raw
	}
	x, y := total(across.borders), total(down.borders)
	w, h := f.Finished.Width.Total()-2*x, f.Finished.Height.Total()-2*y
	for i, b := range o.Face.Borders {
		r := &ring{Order: o, Face: f, border: b, n: i + 1, all: len(o.Face.Borders), raw: raw, x: x, y: y, w: w, h: h,
			bw: across.borders[i], bh: down.borders[i],
			left: across.borderLow[i], right: across.borderHigh[i], above: down.borderLow[i], below: down.borderHigh[i]}
		if i == len(o.Face.Borders)-1 {
			r.out.left, r.out.right = reachOf(reachAxis(o, across))
			r.out.above, r.out.below = reachOf(reachAxis(o, down))
			r.rims = [4]length.Length{across.rimLow, across.rimHigh, down.rimLow, down.rimHigh}
		}
		if i == 0 {
			if found = append(found, r.follow(o.Centre)...); found.Stopped() {
				return found
			}
		}
		found = append(found, r.sew()...)
		raw = r.raw
		x, y, w, h = x-r.bw, y-r.bh, w+2*r.bw, h+2*r.bh
	}
	f.Sewn = raw
	return found
}

// drawnIn is a raw size when it is quilted, which takes a share of it.
func drawnIn(raw sum.Sum, take float64) sum.Sum {
	last := len(raw) - 1
	return raw[:last:last].Plus(sum.TakeUp, fmt.Sprintf("quilting takes %.2f%%", 100*take),
		-length.FromFloat(raw.Total().Float()*take)).Then(raw[last:])
}

func reachOf(low, high length.Length) (float64, float64) { return low.Float(), high.Float() }

// ring is one border on its way.
type ring struct {
	Order
	*Face
	border       plan.Border
	n, all       int
	raw          sum.Size
	x, y, w, h   length.Length // what is inside, as it finishes
	bw, bh       length.Length
	left, right  sum.Sum // cut widths
	above, below sum.Sum
	out          rim // beyond the finished line
	// rims are how much wider the seam round the face is than those within it, of the outermost: left, right, above,
	// below.
	rims [4]length.Length
}

// follow makes up in the first border for what is inside it having come out otherwise
// than planned: its strips are cut to the measured centre, and half of the difference wider
// a side, so that the whole comes out as planned.
func (r *ring) follow(centre plan.Sized) finding.List {
	var found finding.List
	one := func(word string, raw *sum.Sum, measured length.Length, low, high *sum.Sum) {
		if measured == 0 {
			return
		}
		off := raw.Total() - measured
		if off == 0 {
			return
		}
		*raw = sum.Of(sum.Measured, "centre as measured, less its seams", measured-2*r.Seam).
			Between(sum.Seam, "seam allowance", r.Seam)
		name := "centre came out smaller, half of it"
		if off < 0 {
			name = "centre came out larger, half of it"
		}
		*low, *high = low.Plus(sum.Measured, name, off/2).UpTo(r.Step), high.Plus(sum.Measured, name, off-off/2).
			UpTo(r.Step)
		if min(low.Total(), high.Total()) <= 2*r.Seam {
			text := r.Style.Text
			found.Add(finding.Stop, "centre-too-large", fmt.Sprintf("%s/borders/0/width", r.Path),
				fmt.Sprintf("What lies inside the borders measured %s %s, %s over the plan: the first border is too narrow to take that up.",
					text(measured), word, text(-off)),
				"Measure it again, or trim it to the plan and measure it then.")
		}
	}
	one("across", &r.raw.Width, centre.Width, &r.left, &r.right)
	one("up", &r.raw.Height, centre.Height, &r.above, &r.below)
	return found
}

// length of a strip and where it lies.
type run struct {
	name, where string
	role        Role
	cut, length sum.Sum
	upright     bool
	line        outline.Outline
}

// corner is how its sides meet; as usual where nobody knows the word.
func (r *ring) corner() BorderCorner {
	c, known := BorderCorners.Of(string(r.border.Corner))
	if !known {
		c, _ = BorderCorners.Of(string(plan.Butted))
	}
	return c
}

func (r *ring) sew() finding.List {
	if rules := r.border.Corner.Rules(); r.border.Pieced != nil && rules.Whole {
		var found finding.List
		at := fmt.Sprintf("%s/borders/%d/corner", r.Path, r.n-1)
		found.Add(finding.Stop, "border-pieced-mitred", at,
			fmt.Sprintf("A border of patches does not meet in %s corners.", rules.Says),
			"Let it meet butted, or with corner squares.")
		return found
	}
	inner := r.raw
	r.raw.Width = joined(inner.Width, r.left, r.right, r.Seam, r.n)
	r.raw.Height = joined(inner.Height, r.above, r.below, r.Seam, r.n)
	runs := r.runs(inner)
	var found finding.List
	if r.border.Pieced != nil {
		found = r.patches(runs)
	} else {
		r.strips(runs)
	}
	if r.border.Corner.Rules().Filled {
		r.squares()
	}
	return found
}

// runs are the four sides of the border, by how its corners meet.
func (r *ring) runs(inner sum.Size) []run {
	x1, y1, x2, y2 := r.x.Float(), r.y.Float(), (r.x + r.w).Float(), (r.y + r.h).Float()
	ox1, oy1, ox2, oy2 := x1-r.bw.Float()-r.out.left, y1-r.bh.Float()-r.out.above, x2+r.bw.Float()+r.out.right,
		y2+r.bh.Float()+r.out.below
	line := func(p ...float64) outline.Outline {
		var out outline.Outline
		for i := 0; i < len(p); i += 2 {
			out = append(out, outline.Vertex{X: p[i], Y: p[i+1]})
		}
		return out
	}
	sideLength, runLength := inner.Height, r.raw.Width
	sideLength, runLength = r.byRuler(sideLength, r.Centre.Height), r.byRuler(runLength, r.Centre.Width)
	left, right := line(ox1, y1, x1, y1, x1, y2, ox1, y2), line(x2, y1, ox2, y1, ox2, y2, x2, y2)
	above, below := line(ox1, oy1, ox2, oy1, ox2, y1, ox1, y1), line(ox1, y2, ox2, y2, ox2, oy2, ox1, oy2)
	corner := r.corner()
	if corner.Sides == Mitre {
		sideLength = r.mitred(inner.Height, r.above, r.below)
		left, right = line(ox1, oy1, x1, y1, x1, y2, ox1, oy2), line(x2, y1, ox2, oy1, ox2, oy2, x2, y2)
	}
	switch corner.Runs {
	case Flush:
		runLength = r.byRuler(inner.Width, r.Centre.Width)
		above, below = line(x1, oy1, x2, oy1, x2, y1, x1, y1), line(x1, y2, x2, y2, x2, oy2, x1, oy2)
	case Mitre:
		runLength = r.mitred(inner.Width, r.left, r.right)
		above, below = line(ox1, oy1, ox2, oy1, x2, y1, x1, y1), line(x1, y2, x2, y2, ox2, oy2, ox1, oy2)
	}
	return []run{
		{name: "left", where: "left", role: BorderEnd, cut: r.left, length: sideLength, upright: true, line: left},
		{name: "right", where: "right", role: BorderEnd, cut: r.right, length: sideLength, upright: true, line: right},
		{name: "top", where: "top", role: BorderRun, cut: r.above, length: runLength, line: above},
		{name: "bottom", where: "bottom", role: BorderRun, cut: r.below, length: runLength, line: below},
	}
}

// byRuler is the length of a strip that is sewn on when what is inside it is quilted: up to the ruler until that is
// measured, and as it was measured from then on.
func (r *ring) byRuler(s sum.Sum, measured length.Length) sum.Sum {
	if !r.After || measured != 0 {
		return s
	}
	return s.UpTo(r.Step)
}

// mitred is how long a strip of a mitred border is cut: the side, the border at both
// ends, and twice its cut width to spare. Common practice (docs/arithmetic.md §6.4).
func (r *ring) mitred(inner, low, high sum.Sum) sum.Sum {
	s := sum.Of(sum.Part, "side it is sewn to", inner.Total()-2*r.Seam)
	for _, cut := range []sum.Sum{low, high} {
		s = s.Plus(sum.Border, fmt.Sprintf("border %d as cut, less its seams", r.n), cut.Total()-2*r.Seam)
	}
	return s.Between(sum.Overlap, "to spare for the mitre", max(low.Total(), high.Total())).UpTo(r.Step)
}

// strips are the sides in one piece each.
func (r *ring) strips(runs []run) {
	for i := 0; i < 4; i += 2 {
		pair := [2]run{runs[i], runs[i+1]}
		alike := pair[0].cut.Total() == pair[1].cut.Total()
		for _, s := range pair {
			key, where := s.name, s.where
			if alike {
				key, where = map[Role]string{BorderEnd: "side",
					BorderRun: "run"}[s.role], map[Role]string{BorderEnd: "sides", BorderRun: "top and bottom"}[s.role]
			}
			size := sum.Size{Width: s.length, Height: s.cut}
			if s.upright {
				size = sum.Size{Width: s.cut, Height: s.length}
			}
			r.round(s)
			part := r.part(Part{Ref: r.strip(s, !alike, ""), Paints: r.paints("cloth"),
				Name: fmt.Sprintf("border.%d.%s", r.n, key), Title: r.title(where), Role: s.role, Cloth: r.border.Cloth,
				Size: size, Ring: r.n, Corner: r.border.Corner}, 1)
			r.lie(part, s.line, r.corner().Sides == Mitre)
		}
	}
}

// of names a part of the border.
func (r *ring) of(role ref.Role) ref.Ref {
	return ref.Ref{Kind: ref.Cut, Of: r.border.Key, Role: role}
}

// strip names a strip of a side of the border, or its patches of a cloth: those of the sides
// that are sewn on together are alike, or each side has its own.
func (r *ring) strip(s run, apart bool, cloth string) ref.Ref {
	out := r.of(ref.BorderSecond)
	if s.upright {
		out.Role = ref.BorderFirst
	}
	if out.Cloth = cloth; apart {
		out.Edge = s.name
	}
	return out
}

// paints is where the border says of what cloth something is.
func (r *ring) paints(key string) string { return fmt.Sprintf("/borders/%d/%s", r.n-1, key) }

// round is the seam that sews a side of the border on.
func (r *ring) round(s run) {
	x1, y1, x2, y2 := s.line.Bounds()
	switch s.name { // drawn so that the border lies to its left
	case "left":
		x1, y1, y2 = x2, y2, y1
	case "right":
		x2 = x1
	case "top":
		y1 = y2
	default:
		x1, x2, y2 = x2, x1, y1
	}
	r.Face.seam(Seam{Kind: Round, Group: Group{In: r.In, Kind: Round, No: r.n}, X1: x1, Y1: y1, X2: x2, Y2: y2,
		Sewn: s.length.Total(), Left: -1, Right: -1})
}

// lie draws a part of the border.
func (r *ring) lie(part int, line outline.Outline, shaped bool) {
	c := polygon(Cell{Part: part}, func(v outline.Vertex) outline.Vertex { return v }, line)
	if !shaped {
		c.Line = nil
	}
	r.cell(c)
}

// patches are the sides in patches of the border's cloths in turn.
func (r *ring) patches(runs []run) finding.List {
	var found finding.List
	cloths := r.border.Pieced.Cloths
	if len(cloths) == 0 {
		cloths = []string{r.border.Cloth}
	}
	at := 0
	for i, s := range runs {
		shows, deep := s.length.Total()-2*r.Seam, s.cut.Total()-2*r.Seam-r.rims[i]
		n, key := r.border.Pieced.Across, "across"
		if s.upright {
			n, key = r.border.Pieced.Down, "down"
		}
		if n == 0 {
			n = max(1, int(math.Round(shows.Float()/deep.Float())))
		}
		long := r.allowed(sum.Border, "patch of the border, finished", shows.Div(n))
		if i%2 == 0 && !long.Total().OnStep(r.Step) {
			found = append(found, r.offRuler(key, n, shows, long.Total())...)
		}
		size := sum.Size{Width: long, Height: s.cut}
		if s.upright {
			size = sum.Size{Width: s.cut, Height: long}
		}
		r.round(s)
		for k := range n {
			cloth := cloths[at%len(cloths)]
			at++
			name := fmt.Sprintf("border.%d.%s.%s", r.n, map[bool]string{true: "side", false: "run"}[s.upright], cloth)
			apart := runs[i/2*2].cut.Total() != runs[i/2*2+1].cut.Total()
			if apart {
				name = fmt.Sprintf("border.%d.%s.%s", r.n, s.name, cloth)
			}
			part := r.part(Part{Ref: r.strip(s, apart, cloth), Paints: r.paints("pieced/cloths"), Name: name,
				Title: r.title("patches"), Role: BorderPatch, Cloth: cloth, Size: size, Ring: r.n,
				Corner: r.border.Corner}, 1)
			lies := shareOf(s.line, k, n, shows.Float(), s.upright)
			r.lie(part, lies, false)
			if k > 0 {
				r.Face.seam(Seam{Kind: Pieced, Group: Group{In: r.In, Kind: Pieced, No: r.n, Of: s.name}, X1: lies[0].X,
					Y1: lies[0].Y,
					X2: lies[map[bool]int{true: 1, false: 3}[s.upright]].X,
					Y2: lies[map[bool]int{true: 1, false: 3}[s.upright]].Y, Sewn: s.cut.Total(), Left: -1, Right: -1})
			}
		}
	}
	return found
}

// offRuler finds patches of a border that are not on the ruler, and names counts that
// are.
func (r *ring) offRuler(key string, n int, shows, cut length.Length) finding.List {
	var found finding.List
	remedy := "Make the border before it wider or narrower."
	for d := 1; d < 12; d++ {
		for _, m := range []int{n - d, n + d} {
			if m > 0 && (shows.Div(m) + 2*r.Seam).OnStep(r.Step) && shows.Div(m).Times(m) == shows {
				remedy = fmt.Sprintf("With %d of them each is cut %s.", m, r.Style.Text(shows.Div(m)+2*r.Seam))
				d = 12
				break
			}
		}
	}
	found.Add(finding.Warn, "border-off-ruler", fmt.Sprintf("%s/borders/%d/pieced/%s", r.Path, r.n-1, key),
		fmt.Sprintf("%d patches in a border of %s are cut %s long, which is not on a ruler with steps of %s.", n,
			r.Style.Text(shows), r.Style.Text(cut), r.Style.Text(r.Step)), remedy)
	return found
}

// shareOf is the k-th of n parts of a rectangle.
func shareOf(line outline.Outline, k, n int, shows float64, upright bool) outline.Outline {
	x1, y1, x2, y2 := line.Bounds()
	if upright {
		y1, y2 = between(y1, y2, k, n, shows)
	} else {
		x1, x2 = between(x1, x2, k, n, shows)
	}
	return outline.Outline{{X: x1, Y: y1}, {X: x2, Y: y1}, {X: x2, Y: y2}, {X: x1, Y: y2}}
}

// between is where the k-th of n begins and ends that show as long as shows together: what lies beyond that is the
// allowance of those at the ends.
func between(lo, hi float64, k, n int, shows float64) (from, to float64) {
	line := func(k int) float64 {
		switch k {
		case 0:
			return lo
		case n:
			return hi
		}
		return (lo+hi-shows)/2 + shows*float64(k)/float64(n)
	}
	return line(k), line(k + 1)
}

// squares fill the corners.
func (r *ring) squares() {
	cloth := r.border.CornerCloth
	if cloth == "" {
		cloth = r.border.Cloth
	}
	x1, y1, x2, y2 := r.x.Float(), r.y.Float(), (r.x + r.w).Float(), (r.y + r.h).Float()
	ox1, oy1, ox2, oy2 := x1-r.bw.Float()-r.out.left, y1-r.bh.Float()-r.out.above, x2+r.bw.Float()+r.out.right,
		y2+r.bh.Float()+r.out.below
	for i, c := range []struct {
		w, h        sum.Sum
		a, b, c2, d float64
	}{{r.left, r.above, ox1, oy1, x1, y1}, {r.right, r.above, x2, oy1, ox2, y1}, {r.left, r.below, ox1, y2, x1, oy2},
		{r.right, r.below, x2, y2, ox2, oy2}} {
		name, named := fmt.Sprintf("border.%d.corner", r.n), r.of(ref.BorderCorner)
		for _, p := range r.Parts {
			if p.Ref == named && (p.Size.Width.Total() != c.w.Total() || p.Size.Height.Total() != c.h.Total()) {
				name, named.No = fmt.Sprintf("border.%d.corner.%d", r.n, i+1), i+1
			}
		}
		part := r.part(Part{Ref: named, Paints: r.paints("corner_cloth"), Name: name, Title: r.title("corner squares"),
			Role: Corner, Cloth: cloth, Size: sum.Size{Width: c.w, Height: c.h}, Ring: r.n}, 1)
		r.lie(part, outline.Outline{{X: c.a, Y: c.b}, {X: c.c2, Y: c.b}, {X: c.c2, Y: c.d}, {X: c.a, Y: c.d}}, false)
	}
}

// joined is a raw size with a border sewn to both ends: each join loses a seam
// from both sides.
func joined(raw, low, high sum.Sum, seam length.Length, ring int) sum.Sum {
	inner := raw[1 : len(raw)-1] // without the raw edges, which go into the seam
	shows := func(cut sum.Sum) sum.Sum {
		return sum.Of(sum.Border, fmt.Sprintf("border %d as cut, less its seams", ring), cut.Total()-2*seam)
	}
	return shows(low).Then(inner).Then(shows(high)).Between(sum.Seam, "seam allowance", seam)
}

func (r *ring) title(where string) string {
	if r.all == 1 {
		return "Border, " + where
	}
	return fmt.Sprintf("Border %d, %s", r.n, where)
}
