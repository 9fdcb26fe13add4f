// Package supply lays what is cut on its cloths: what odd pieces give first, the rest on the length; and
// sets what there is beside what is needed.
package supply

import (
	"cmp"
	"fmt"
	"maps"
	"slices"

	"umschlag/core/cover"
	"umschlag/core/cutting"
	"umschlag/core/finding"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/sold"
	"umschlag/core/stock"
	"umschlag/core/sum"
)

// mostPieces is more than anyone lays out at once; it keeps a slip of the pen
// from becoming an hour's computation.
const mostPieces = 20_000

// Cupboard is what there is of each cloth, by its name, as the cupboard describes it.
type Cupboard map[string]plan.Cloth

// Of is the name under which the cupboard has a cloth of a plan: its own, or, where it goes by another there, that of
// the one of which something is kept for it, or that it was cut from. there is false where it is not in the cupboard.
func (c Cupboard) Of(name string, h stock.Holder) (known string, there bool) {
	if _, there = c[name]; there || h.Plan == "" || h.Cloth == "" {
		return name, there
	}
	for _, other := range slices.Sorted(maps.Keys(c)) {
		if stock.IsBack(c[other], h) || slices.ContainsFunc(c[other].Kept,
			func(k plan.Keeping) bool { return k.Cloth == h.Cloth && k.For == h.Plan }) {
			return other, true
		}
	}
	return name, false
}

// Cloth is one cloth with its lay.
type Cloth struct {
	Letter, Name string
	Lay          lay.Lay
	// Odd are the odd pieces that are cut first, alike ones together.
	Odd []Odd
	// Wanted is what the lay takes with squaring and shrinkage, Buy how many of what it is sold As, none when there is
	// enough; Have what there is, nil when nobody said, and Short what is missing of it.
	Wanted, Short length.Length
	Buy           int
	As            sold.As
	Have          *length.Length
	// Done tells that all is cut of it, Returned that what was left over is back in the cupboard, Sought
	// that a shorter lay was looked for, and InCupboard that it is taken from the cupboard.
	Done, Returned, Sought, InCupboard bool
	// Backing is the light interfacing that is ironed behind it before it is cut; none where it is not backed.
	Backing sum.Sum
	// Free is what its pieces would take placed freely, where that is less; 0 where it is not, and where they
	// are too many to try.
	Free length.Length
	// Kept is what the cupboard keeps of it for this plan, and KeptOdd how many odd pieces.
	Kept    length.Length
	KeptOdd int
}

// mostLoose is the most pieces that are placed freely for comparison.
const mostLoose = 80

// freely is what is left of a lay along a ruler, placed freely, where that is shorter.
func (o order) freely(laid lay.Lay, rest []lay.Item, on lay.Cloth) length.Length {
	drawn := o.Plan.Habits.Lay == plan.TemplateLays
	if drawn || laid.Length == laid.Bound || len(laid.Placed) > mostLoose {
		return 0
	}
	if free := lay.FreeLength(rest, on); free < laid.Length {
		return free
	}
	return 0
}

// Sum is how what is wanted comes about: strip by strip, squared, and what shrinks.
func (c Cloth) Sum() sum.Sum {
	var s sum.Sum
	strips := c.Lay.Strips
	for i := 0; i < len(strips); {
		n := 1
		for i+n < len(strips) && strips[i+n].Height == strips[i].Height {
			n++
		}
		name := fmt.Sprintf("strip %d", i+1)
		if n > 1 {
			name = fmt.Sprintf("strips %d to %d", i+1, i+n)
		}
		s = s.Then(sum.Repeat(n, sum.Part, name, strips[i].Height))
		i += n
	}
	if len(strips) == 0 {
		s = sum.Of(sum.Part, "its pieces, placed freely", c.Lay.Length)
	}
	s = s.Plus(sum.Squaring, "to square its end", c.Squared()-c.Lay.Length)
	return s.Plus(sum.Wash, "what it shrinks", c.Wanted-c.Squared())
}

// Squared is how much of its length the lay takes, its end squared; 0 where all is cut from odd pieces.
func (c Cloth) Squared() length.Length { return lay.Need(c.Lay, 0) }

// backing is what lies behind all that is cut: the lay and every odd piece, whole.
func (c Cloth) backing() sum.Sum {
	s := sum.Sum{}.Plus(sum.Part, "behind its cutting layout, its end squared", c.Squared())
	for _, o := range c.Odd {
		s = s.Then(sum.Repeat(o.Count, sum.Part, "behind an offcut", o.Size.Length))
	}
	return s
}

// Odd is how many odd pieces of a size, laid out alike.
type Odd struct {
	Size  lay.Odd
	Count int
	Lay   lay.Lay
}

// order is what cloths are laid out for.
type order struct {
	*cutting.List
	cupboard Cupboard
	id       string
}

// Of lays out all that is cut, cloth by cloth in the order of their letters. id is the plan's in the
// cupboard: what is kept for others it does not get.
func Of(cuts *cutting.List, cupboard Cupboard, id string) []Cloth {
	o := order{List: cuts, cupboard: cupboard, id: id}
	pieces, letters := 0, map[string]bool{}
	for _, c := range o.Cuts {
		if !c.Had {
			pieces += c.Total
			letters[c.Cloth] = true
		}
	}
	if pieces > mostPieces {
		o.Found.Add(finding.Stop, "too-many-pieces", "/copies", fmt.Sprintf("That would be %d pieces to cut.", pieces),
			fmt.Sprintf("Plan up to %d pieces at once: fewer copies, or larger patches.", mostPieces))
		return nil
	}
	o.judgeCentred()
	var out []Cloth
	for _, letter := range slices.Sorted(maps.Keys(letters)) {
		out = append(out, o.cloth(letter))
	}
	return out
}

// judgeCentred says where a face is to be centred on motifs nobody measured.
func (o order) judgeCentred() {
	for _, letter := range slices.Sorted(maps.Keys(o.Plan.Cloths)) {
		if c, _ := o.Plan.Cloth(letter); c.Match && c.Repeat == nil {
			o.repeatUnknown(letter, "The print of %s is to go on over seams, and nobody said how far it is from one motif to the next.")
		}
	}
	for _, name := range slices.Sorted(maps.Keys(o.Plan.Pieces)) {
		face := o.Plan.Piece(name).Face
		if face == nil || !face.Centred {
			continue
		}
		letters := slices.DeleteFunc(append([]string{face.Cloth}, face.Cloths...),
			func(letter string) bool { return letter == "" })
		if len(letters) == 0 ||
			slices.ContainsFunc(letters,
				func(letter string) bool { c, _ := o.Plan.Cloth(letter); return c.Repeat != nil }) {
			continue
		}
		o.repeatUnknown(letters[0], "Pieces of %s are to be centred on its motif, and nobody said how far it is from one to the next.")
	}
}

func (o order) repeatUnknown(letter, says string) {
	c, _ := o.Plan.Cloth(letter)
	o.Found.Add(finding.Warn, "repeat-unknown", finding.Path("cloths", letter, "repeat"), fmt.Sprintf(says, c.Name),
		"Measure from the middle of a motif to the middle of the next, across and along, and say it with the fabric; 0 where it does not repeat that way.")
}

// On is a cloth as it is laid on.
func On(c plan.Cloth) lay.Cloth {
	on := lay.Cloth{Usable: *c.Usable}
	if c.Repeat != nil {
		on.Across, on.Along = c.Repeat.Across, c.Repeat.Along
	}
	return on
}

// Stock is what there is of a cloth of a plan: as the plan says, or as the cupboard does.
func Stock(c plan.Cloth, cupboard Cupboard, h stock.Holder) (*length.Length, []lay.Odd) {
	if c.Have != nil || len(c.Odd) > 0 {
		return stock.Free(c, stock.Holder{})
	}
	known, _ := cupboard.Of(c.Name, h)
	return stock.Free(cupboard[known], h)
}

// cloth lays one cloth out: what odd pieces give first, the rest on the length.
func (o order) cloth(letter string) Cloth {
	c, described := o.Plan.Cloth(letter)
	style := o.Plan.Style()
	if !described {
		o.Found.Add(finding.Note, "cloth-undescribed", finding.Path("cloths", letter),
			fmt.Sprintf("Fabric %s is not described; it is taken as plain, with %s between the selvedges.", letter,
				style.Text(*c.Usable)),
			"Say how wide it is and how it is printed.")
	}
	on := On(c)
	holder := stock.Holder{Plan: o.id, Cloth: letter}
	have, odd := Stock(c, o.cupboard, holder)
	known, there := o.cupboard.Of(c.Name, holder)
	returned := slices.Contains(o.Plan.Progress.Returned, letter) || stock.IsBack(o.cupboard[known], holder)
	if returned { // it was cut from what the cupboard held then
		have, odd = nil, nil
	}
	fromOdd, rest := lay.FromOdd(o.List.Of(letter), on, odd)
	laid, over := o.laid(letter, rest, on)
	for i, cut := range o.Cuts {
		if slices.Contains(over, i) {
			*o.Found = append(*o.Found,
				lay.TooWide(cut.At, cut.Title, c.Name, cut.Size.Width.Total(), *c.Usable, style,
					c.Upright && c.Print.TurnsBy()))
		}
	}
	o.stretches(letter, c)
	o.hemmed(letter, c)
	out := Cloth{Letter: letter, Name: c.Name, Lay: laid, Odd: together(fromOdd, odd),
		Wanted: lay.Need(laid, c.Shrink/100), Have: have,
		Free: o.freely(laid, rest, on), Done: o.allCutOf(letter),
		Sought: len(o.Plan.Lays[letter].Way) > 0, Returned: returned}
	if c.IsBacked() {
		out.Backing = out.backing()
	}
	out.InCupboard = there && c.Have == nil && len(c.Odd) == 0
	if o.id != "" {
		out.Kept, out.KeptOdd = stock.Holds(o.cupboard[known], holder)
	}
	o.amounts(&out, c, rest)
	return out
}

// amounts sets what there is beside what is needed. What is cut already is not short.
func (o order) amounts(out *Cloth, c plan.Cloth, items []lay.Item) {
	style := o.Plan.Style()
	known, _ := o.cupboard.Of(c.Name, stock.Holder{Plan: o.id, Cloth: out.Letter})
	out.As = sold.How(cmp.Or(c.Sold, o.cupboard[known].Sold), o.Plan.Units)
	buy := out.As.Count(out.Wanted)
	if out.As.Apart() && buy > 0 {
		if buy = o.pieces(out, c, items); buy == 0 { // then it is told how much it takes off the bolt
			out.As = sold.How(nil, o.Plan.Units)
			buy = out.As.Count(out.Wanted)
		}
	}
	enough := out.Done || out.Have != nil && *out.Have >= out.Wanted
	if out.As.By == plan.ByBolt && buy > 1 && !enough {
		o.Found.Add(finding.Warn, "bolt-short", finding.Path("cloths", out.Letter, "sold"),
			fmt.Sprintf("It takes %s of %s in one piece, and a bolt has %s.", style.Yards(out.Wanted), out.Name,
				style.Yards(out.As.Each)),
			"Ask for a longer bolt, or make fewer covers at once.")
	}
	switch {
	case enough:
		buy = 0
	case out.Have != nil:
		out.Short = out.Wanted - *out.Have
		o.Found.Add(finding.Warn, "cloth-short", finding.Path("cloths", out.Letter, "have"),
			fmt.Sprintf("There are %s of %s, and %s are needed: %s short.", style.Text(*out.Have), out.Name,
				style.Text(out.Wanted), style.Text(out.Short)),
			fmt.Sprintf("Buy %s%s, or use another fabric where it does not show.", out.As.Says(buy, style),
				map[bool]string{false: " in one piece"}[out.As.Apart()]))
	}
	out.Buy = buy
}

// pieces is how many panels or quarters are bought; none where what is cut does not come out of them, which is said.
func (o order) pieces(out *Cloth, c plan.Cloth, items []lay.Item) int {
	if out.Done || out.Have != nil && *out.Have >= out.Wanted {
		return 0
	}
	n, ok := out.As.Pieces(items, On(c))
	if !ok {
		style := o.Plan.Style()
		o.Found.Add(finding.Warn, "cloth-sold", finding.Path("cloths", out.Letter, "sold"),
			fmt.Sprintf("%s is sold in %s, and not all that is cut of it comes out of them.", out.Name, out.As.In(style)),
			fmt.Sprintf("It takes %s off the bolt; choose another fabric for what is too large.", style.Yards(out.Wanted)))
	}
	return n
}

// laid is the lay of what is cut from the length, of the plan's school; a lay that was
// sought and found stays the shortest.
func (o order) laid(letter string, items []lay.Item, on lay.Cloth) (lay.Lay, []int) {
	if o.Plan.Habits.Lay == plan.TemplateLays {
		return lay.Freely(items, on)
	}
	laid, over := lay.Of(items, on)
	if way := o.Plan.Lays[letter].Way; len(way) > 0 {
		if sought := lay.Along(items, on, way); sought.Better(laid) {
			laid = sought
		}
	}
	return laid, over
}

// stretches says that a cloth that can be pulled wants something firm behind it.
func (o order) stretches(letter string, c plan.Cloth) {
	if held, known := o.cupboard[c.Name]; known && c.Stretch == 0 {
		c.Stretch = held.Stretch
	}
	if c.Stretch < plan.FirmStretch || c.IsBacked() {
		return
	}
	for _, cut := range o.Cuts {
		q := cover.Decided(o.Plan, cut.Piece)
		if cut.Cloth != letter || cut.Layer != cutting.Outer || q.Layers != nil &&
			(q.Layers.Lining != "" || q.Layers.Stiffener != "") {
			continue
		}
		o.Found.Add(finding.Warn, "cloth-stretches", finding.Path("cloths", letter, "stretch"),
			fmt.Sprintf("%s can be pulled %g%% longer, and nothing firm lies behind it: pieces come out of shape.",
				c.Name, c.Stretch),
			"Back it with light interfacing before it is cut, or line it with a firm fabric.")
		return
	}
}

// hemmed says that a back of cloth that does not fray needs no hem.
func (o order) hemmed(letter string, c plan.Cloth) {
	rules, _ := plan.BackKinds.Of(string(o.Plan.Back.Kind))
	if !c.Weight.Rules().Even || len(o.Plan.Back.Hem) == 0 || !slices.Contains(rules.Reads, "hem") ||
		!slices.ContainsFunc(o.Cuts, func(cut cutting.Cut) bool {
			return cut.Cloth == letter && cut.About.Role.Closes()
		}) {
		return
	}
	o.Found.Add(finding.Note, "felt-hem", "/back/hem",
		fmt.Sprintf("%s does not fray: the edges of the back can stay as they are cut, and a hem is thick.", c.Name),
		"Take the hem away.")
}

// allCutOf reports whether everything that is cut from a cloth is cut.
func (o order) allCutOf(letter string) bool {
	return !slices.ContainsFunc(o.Cuts, func(c cutting.Cut) bool { return c.Cloth == letter && !c.Done })
}

// together are the lays of the odd pieces that are cut, alike ones in one.
func together(laid []lay.OnOdd, odd []lay.Odd) []Odd {
	var out []Odd
	var last lay.Lay
	for i, one := range laid {
		if i > 0 && laid[i-1].Odd == one.Odd && slices.Equal(last.Placed, one.Lay.Placed) {
			out[len(out)-1].Count++
			continue
		}
		last = one.Lay
		out = append(out, Odd{Size: odd[one.Odd], Count: 1, Lay: one.Lay})
	}
	return out
}

// Alone is the length of the cloth of a letter that the pieces of one kind in one cover take by themselves.
func Alone(cuts *cutting.List, letter string, kind func(cutting.Cut) bool) length.Length {
	cloth, _ := cuts.Plan.Cloth(letter)
	var items []lay.Item
	for _, item := range cuts.Of(letter) {
		if cut := cuts.Cuts[item.Cut]; kind(cut) {
			item.Count = cut.Count
			items = append(items, item)
		}
	}
	laid, _ := lay.Of(items, lay.Cloth{Usable: *cloth.Usable})
	return laid.Length
}
