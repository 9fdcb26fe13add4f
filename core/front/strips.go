package front

import (
	"fmt"
	"slices"

	"umschlag/core/block"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// strips are long pieces side by side. The outermost ones take up what quilting and
// trimming need.
func strips(o Order) (Face, finding.List) {
	var found finding.List
	o.Absorb = plan.AbsorbBorder // the outermost strips take up the loss: there is none to accept
	text := o.Style.Text
	across, down := axesOf(o)
	along := o.Face.Direction == plan.AlongWay // strips stand upright, side by side
	a, b := down, across
	if along {
		a, b = across, down
	}
	if o.Face.Direction != "" && o.Face.Direction != plan.AcrossWay && !along {
		found.Add(finding.Stop, "strips-direction", o.Path+"/direction", "Strips that run slantwise are not worked out.",
			"Let them run across or along.")
		return Face{}, found
	}
	o.Face.Strips = slices.Clone(o.Face.Strips)
	for i := range o.Face.Strips { // given as they are cut, those at the rim lose what is trimmed off and taken
		s := &o.Face.Strips[i].Width
		if s.Cut != 0 && i == 0 {
			s.Width -= a.low
		}
		if s.Cut != 0 && i == len(o.Face.Strips)-1 {
			s.Width -= a.high
		}
		if said := allSeams(o, fmt.Sprintf("/strips/%d/width", i), *s, s.Width); said != nil {
			return Face{}, said
		}
	}
	list := o.Face.Filled(across.whole, down.whole).Strips
	whole, least := length.Length(0), across.whole+down.whole
	for _, s := range list {
		whole, least = whole+s.Width.Width, min(least, s.Width.Width)
	}
	off := a.whole - whole
	if least <= 0 {
		found.Add(finding.Stop, "strips-do-not-fill", o.Path+"/strips",
			fmt.Sprintf("The front finishes %s in that direction, and nothing is left for a strip that takes the rest.",
				text(a.whole)), "Take a strip out, or make the others narrower.")
		return Face{}, found
	}
	if least < o.Seam && len(list) > 1 {
		return Face{}, narrow(o, fmt.Sprintf("Strips of %s", text(least)))
	}
	if off.Abs() > length.Close || len(list) == 0 {
		found.Add(finding.Stop, "strips-do-not-fill", o.Path+"/strips",
			fmt.Sprintf("The strips make %s; the front finishes %s in that direction.", text(whole), text(a.whole)),
			missing(list, off, text))
		return Face{}, found
	}
	f := Face{Rows: 1, Columns: len(list)}
	lowReach, highReach := reachAxis(o, a)
	startReach, endReach := reachAxis(o, b)
	longer := o.allowed(sum.Part, "length, finished", b.whole)
	longer = o.grownBoth(longer, b)
	at := length.Length(0)
	var shows, sewn sum.Sum
	for i, s := range list {
		cut := o.allowed(sum.Part, "strip, finished", s.Width.Width)
		from, to := at, at+s.Width.Width
		if i == 0 {
			cut, from = outermost(o, s.Width, cut, a, a.low, a.rimLow), from-lowReach
		}
		shows = shows.Plus(sum.Part, fmt.Sprintf("strip %d", i+1), s.Width.Width)
		if i == len(list)-1 {
			cut, to = outermost(o, s.Width, cut, a, a.high, a.rimHigh), to+off+highReach
			shows = closed(shows, off)
		}
		sewn = sewn.Plus(sum.Part, fmt.Sprintf("strip %d as cut, less its seams", i+1), cut.Total()-2*o.Seam)
		at += s.Width.Width
		cell := Cell{Row: 1, Column: i + 1, Band: 1}
		size := sum.Size{Width: longer, Height: cut}
		seam := Seam{Kind: InBand, Band: 1, Group: Group{In: o.In, Kind: InBand, No: 1}, Sewn: longer.Total(),
			Left: i - 1, Right: i}
		if along {
			size = sum.Size{Width: cut, Height: longer}
			cell.X, cell.Y, cell.Width, cell.Height = from, -startReach, to-from, b.whole+startReach+endReach
			seam.X1, seam.X2, seam.Y1, seam.Y2 = from.Float(), from.Float(), (cell.Y + cell.Height).
				Float(), cell.Y.Float()
		} else {
			cell.X, cell.Y, cell.Width, cell.Height = -startReach, from, b.whole+startReach+endReach, to-from
			seam.Y1, seam.Y2, seam.X1, seam.X2 = from.Float(), from.Float(), cell.X.Float(), (cell.X + cell.Width).
				Float()
		}
		cell.Part = f.part(Part{Ref: ref.Ref{Kind: ref.Cut, Of: s.Key, Role: ref.Strip},
			Paints: fmt.Sprintf("/strips/%d/cloth", i), Name: fmt.Sprintf("strip.%d", i+1),
			Title: fmt.Sprintf("Strip %d", i+1), Role: Strip, Cloth: s.Cloth, Size: size}, 1)
		f.cell(cell)
		if i > 0 {
			f.seam(seam)
		}
	}
	sewn = sewn.Between(sum.Seam, "seam allowance", o.Seam)
	f.Finished, f.Sewn = sum.Size{Width: o.Finished.Width, Height: shows}, sum.Size{Width: longer, Height: sewn}
	if along {
		f.Finished, f.Sewn = sum.Size{Width: shows, Height: o.Finished.Height}, sum.Size{Width: sewn, Height: longer}
	}
	f.Bands = []Band{{Number: 1, Of: "strips", Pieces: len(list), Length: sewn.Total(), Group: 1}}
	f.Grids = []Grid{{Columns: len(list), Rows: 1, Sewn: f.Sewn, Patches: len(list)}}
	return f, found
}

// grownBoth is a length that takes up what quilting and trimming need at both ends.
func (o Order) grownBoth(s sum.Sum, a *axis) sum.Sum {
	margins := marginsOf(o, a)
	return rimmed(s, a.rims()).Plus(sum.Squaring, "trimmed off after quilting", margins).
		Plus(sum.TakeUp, "what quilting takes", a.low+a.high-margins).UpTo(o.Step)
}

// missing says how the last strip would make strips fill.
func missing(list []plan.Strip, off length.Length, text func(length.Length) string) string {
	if len(list) == 0 {
		return fmt.Sprintf("Give strips that make %s together.", text(off))
	}
	if last := list[len(list)-1].Width.Width + off; last > 0 {
		return fmt.Sprintf("A last strip of %s fills it.", text(last))
	}
	return "Take a strip out, or make them narrower."
}

// Set is strips sewn side by side and cut across into segments.
type Set struct {
	// In is the part of a stack it is of, No its number there, from 1.
	In ref.Key
	No int
	// Cloths of its strips, from the top.
	Cloths []string
	// Count of such sets, each Length long before its end is squared, and cut into
	// Segments pieces of Segment.
	Count           int
	Segments        int
	Length, Segment length.Length
	// Height of a set as sewn, raw edge to raw edge.
	Height length.Length
}

// checker is a checkerboard sewn from strips: a strip set for each kind of column,
// cut across into segments, every second one turned or taken from the other set.
// Common practice (docs/arithmetic.md §6.4).
func checker(o Order) (Face, finding.List) {
	o.Face.Kind, o.Face.Block, o.Face.Set, o.Face.Sash = plan.GridFace, plan.Block{}, plan.Straight, nil
	o.Face.Order = plan.Order{Kind: plan.Alternate}
	f, found := grid(o)
	if found.Stopped() {
		return Face{}, found
	}
	g := f.Grids[0]
	list := o.sets(g)
	if stopped := o.fits(list, &found); stopped {
		return Face{}, found
	}
	o.stripCuts(&f, g, list)
	f.Sets = list
	f.Bands = nil
	for c := range g.Columns {
		f.Bands = append(f.Bands,
			Band{Number: c + 1, Of: "segments", Pieces: g.Rows, Length: g.Sewn.Height.Total(), Group: 1})
	}
	for i := range f.Cells {
		if f.Cells[i].Column > 0 {
			f.Cells[i].Band = f.Cells[i].Column
		}
	}
	f.Seams = o.checkerSeams(f.Seams, g)
	return f, found
}

// sets are the kinds of columns a board has. Where turning a segment end for end gives
// the other kind, one kind of set does for both.
func (o Order) sets(g Grid) []Set {
	column := func(c int) []string {
		out := make([]string, g.Rows)
		for r := range out {
			out[r] = g.Laid[r][c]
		}
		return out
	}
	var out []Set
	for c := range g.Columns {
		col := column(c)
		found := false
		for i := range out {
			if same(out[i].Cloths, col) || same(out[i].Cloths, reversed(col)) {
				out[i].Segments++
				found = true
				break
			}
		}
		if !found {
			out = append(out, Set{Cloths: col, Segments: 1, Segment: g.Patch.Width.Total(),
				Height: g.Sewn.Height.Total()})
		}
	}
	for i := range out {
		out[i] = o.sized(out[i])
	}
	return out
}

// squared is what squaring the end of a set takes.
const squared = block.SquareEnd

// sized is a set with as many strips, none longer than its cloth is wide, as give its
// segments.
func (o Order) sized(s Set) Set {
	usable := endless
	for _, cloth := range s.Cloths {
		if o.Usable != nil {
			usable = min(usable, o.Usable(cloth))
		}
	}
	most := int((usable - squared) / s.Segment)
	if most < 1 {
		s.Count = 0
		return s
	}
	s.Count = (s.Segments + most - 1) / most
	each := (s.Segments + s.Count - 1) / s.Count
	s.Length = (s.Segment.Times(each) + squared).Ceil(o.Step)
	return s
}

// endless is longer than any cloth is wide.
const endless = 1_000_000 * length.Inch

// fits finds segments that are longer than the cloth is wide.
func (o Order) fits(list []Set, found *finding.List) bool {
	for _, s := range list {
		if s.Count == 0 {
			found.Add(finding.Stop, "segment-too-long", o.Path+"/patch/width",
				fmt.Sprintf("A segment of %s does not come out of a strip as long as the fabric is wide.",
					o.Style.Text(s.Segment)), "Make the patches narrower, or cut them one by one in a grid.")
			return true
		}
	}
	return false
}

// stripCuts puts the strips in the place of the patches.
func (o Order) stripCuts(f *Face, g Grid, list []Set) {
	at := map[string]int{}
	var parts []Part
	for _, s := range list {
		for _, cloth := range s.Cloths {
			name := fmt.Sprintf("set.%s.%d", cloth, s.Length/1000)
			i, seen := at[name]
			if !seen {
				i = len(parts)
				at[name] = i
				long := sum.Repeat(int((s.Length-squared)/s.Segment), sum.Part, "segment", s.Segment).
					Plus(sum.Squaring, "to square the end", squared)
				parts = append(parts,
					Part{Ref: o.ofCloth(ref.SetStrip, cloth), Paints: "/cloths", Name: "set." + cloth,
						Title: "Strips to be sewn together", Role: SetStrip, Cloth: cloth, Shape: "strip",
						Size: sum.Size{Width: long.UpTo(o.Step), Height: g.Patch.Height}, Gives: 1, Finished: ""})
				if n := len(at); n > 1 {
					for _, p := range parts[:i] {
						if p.Ref == parts[i].Ref {
							parts[i].Name, parts[i].Ref.No = fmt.Sprintf("set.%s.%d", cloth, n), n
						}
					}
				}
			}
			parts[i].Count += s.Count
		}
	}
	// Cells of patches now show the strip their cloth comes from.
	first := map[string]int{}
	for i, p := range parts {
		if _, ok := first[p.Cloth]; !ok {
			first[p.Cloth] = i
		}
	}
	keep := make([]int, len(f.Parts))
	kept := parts
	for i, p := range f.Parts {
		if p.Role == Patch {
			keep[i] = first[p.Cloth]
			continue
		}
		keep[i] = len(kept)
		kept = append(kept, p)
	}
	for i := range f.Cells {
		f.Cells[i].Part = keep[f.Cells[i].Part]
	}
	f.Parts = kept
}

// checkerSeams are the seams of a board sewn column by column: those within a segment
// come from its set, those between segments run down.
func (o Order) checkerSeams(list []Seam, g Grid) []Seam {
	var out []Seam
	done := map[float64]bool{}
	for _, s := range list {
		switch s.Kind {
		case Between: // every column has its share of it
			for c := range g.Columns {
				share := func(i int) float64 { return s.X1 + (s.X2-s.X1)*float64(i)/float64(g.Columns) }
				out = append(out,
					Seam{Kind: InBand, Band: c + 1, Group: Group{In: o.In, Kind: InBand, No: c + 1}, X1: share(c),
						X2: share(c + 1), Y1: s.Y1, Y2: s.Y2,
						Sewn: g.Patch.Width.Total(), Left: -1, Right: -1})
			}
		case InBand:
			if done[s.X1] {
				continue
			}
			done[s.X1] = true
			out = append(out, Seam{Kind: Between, Band: len(done), Group: Group{In: o.In, Kind: Between, No: len(done)},
				X1: s.X1, X2: s.X2, Y1: s.Y1, Y2: s.Y2,
				Sewn: g.Sewn.Height.Total(), Left: -1, Right: -1})
		default:
			out = append(out, s)
		}
	}
	return out
}

func same(a, b []string) bool {
	if len(a) != len(b) {
		return false
	}
	for i := range a {
		if a[i] != b[i] {
			return false
		}
	}
	return true
}

func reversed(list []string) []string {
	out := make([]string, len(list))
	for i, s := range list {
		out[len(list)-1-i] = s
	}
	return out
}
