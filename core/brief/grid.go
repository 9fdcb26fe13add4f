package brief

import (
	"fmt"
	"math"
	"slices"
	"strconv"

	"umschlag/core/answer"
	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// grid tells of patches or blocks in rows: how many, how large, in which cloths and which order.
func grid(f *FaceTeller) {
	patched, point := f.face.Kind == plan.GridFace, f.face.Set == plan.OnPoint
	refit := func(m *Moving) { f.change(m, func(face *plan.Face) { *face = face.Refitted() }) }
	f.Say(", ")
	f.Follow(Field{Path: f.at("columns"), Label: f.label("Patches across"), Reads: Count}, refit)
	f.Say(" across and ")
	f.Follow(Field{Path: f.at("rows"), Label: f.label("Patches down"), Reads: Count}, refit)
	f.Say(" down")
	if patched {
		f.Say(", ")
		f.choose("set", f.label("Setting of the patches"), string(f.face.Set), []Option{
			{Key: "straight", Says: "set straight"}, {Key: "on-point", Says: "set on their points"}},
			func(face *plan.Face, key string) { *face = face.As(plan.Setting(key)) })
	}
	patchSize(f, point)
	if patched {
		f.Widget("block", f.place.Config)
	}
	f.Say(", in ")
	patchCloths(f)
	if patched {
		order(f)
	}
	if point {
		f.Say(", the triangles round them of ")
		f.choose("cloth", f.label("Fabric of the setting triangles"), f.face.Cloth,
			with(Option{Says: "the last of these"}, faced(f.Teller)),
			func(face *plan.Face, letter string) { face.Cloth = letter })
	}
	f.Say(".")
	overhang(f, point)
	rim(f, point)
	if patched && !point {
		sash(f)
	}
}

// rim tells what takes up a seam round a face of patches that is not the piecing seam.
func rim(f *FaceTeller, point bool) {
	q, c := f.plan.Piece(f.place.Config), f.plan.Cover
	if f.place.Inner != "" || !bare(f, point) || q.Quilted() || c.Seam == c.PiecingSeam || f.face.Overhang {
		return
	}
	options := []Option{{Key: "outer", Says: "the outermost patches"}, {Key: "patch", Says: "all patches alike"},
		{Key: "accept", Says: "the size of the cover"}}
	now := q.Absorb
	if front.Alike(f.face) {
		options = options[1:]
	}
	if !slices.ContainsFunc(options, func(o Option) bool { return o.Key == string(now) }) {
		now = plan.Absorb(options[0].Key)
	}
	f.Say(" The seam round it, " + map[bool]string{true: "wider", false: "narrower"}[c.Seam > c.PiecingSeam] +
		" than those within it, is taken up by ")
	f.Choose(Choice{ID: path("pieces", f.place.Config, "absorb"), Label: f.label("What takes up the seam round it"),
		Now: string(now), Options: options},
		func(m *Moving, key string) {
			m.piece(f.place.Config, func(p *plan.Piece) { p.Absorb = plan.Absorb(key) })
		})
	f.Say(".")
}

// bare reports whether patches lie at the rim.
func bare(f *FaceTeller, point bool) bool {
	return !point && len(f.face.Borders) == 0 && (f.face.Sash == nil || !f.face.Sash.Outside)
}

// patch tells how large a patch finishes.
func patchSize(f *FaceTeller, point bool) {
	fit, now := f.face.Patch.Fit, "no"
	if f.face.Patch.WidthCut != 0 || f.face.Patch.HeightCut != 0 {
		now = "cut"
	} else if fit {
		now = "yes"
	}
	f.Say(", each ")
	f.Choose(Choice{ID: f.id("patch/fit"), Label: f.label("Size of the patches"), Now: now,
		Options: []Option{{Key: "no", Says: "finished"}, {Key: "cut", Says: "given as cut:"},
			{Key: "yes", Says: "as large as fits"}}},
		func(m *Moving, key string) {
			next := plan.Patch{Fit: true}
			if key != "yes" {
				next = m.patch(f.place.Config)
			}
			if key == "cut" {
				next = next.AsCut(m.Settled().Cover.PiecingSeam)
			}
			f.change(m, func(face *plan.Face) { face.Patch = next })
		})
	if f.Say(" "); fit {
		f.whole("patch")
		return
	}
	wide, high := "Finished width of a patch", "Finished height of a patch"
	if now == "cut" {
		wide, high = "Width of a patch as cut", "Height of a patch as cut"
	}
	f.Length(f.at("patch/width"), f.label(wide))
	if !point {
		f.Say(" by ")
		f.Length(f.at("patch/height"), f.label(high))
	}
}

// overhang tells what becomes of patches that are too much for the face.
func overhang(f *FaceTeller, point bool) {
	if !bare(f, point) || f.face.Patch.Fit {
		return
	}
	f.Say(" What is too much ")
	f.either("overhang", f.label("Patches that are too much"), f.face.Overhang, "does not fit",
		"is trimmed off all round",
		func(face *plan.Face, yes bool) { face.Overhang = yes })
	f.Say(".")
}

// told is a piece of the reckoning before a decision; nil where it cannot be cut.
func (m *Moving) told(config string) *answer.Piece {
	r := m.Reckoned()
	i := slices.IndexFunc(r.Pieces, func(p answer.Piece) bool { return p.Config == config })
	if i < 0 {
		return nil
	}
	return &r.Pieces[i]
}

// patch is the size that patches have now; where that is not known, twice the least that is usual.
func (m *Moving) patch(config string) plan.Patch {
	p := m.told(config)
	if p == nil || p.Patch == nil {
		return plan.Patch{Width: 2 * plan.StartsIn(m.Plan.Units).Least}
	}
	out := plan.Patch{Width: length.Length(p.Patch.Width.NM)}
	if p.Patch.Height.NM != p.Patch.Width.NM {
		out.Height = length.Length(p.Patch.Height.NM)
	}
	return out
}

// unit is the size that folded windows have now; where that is not known, half as much again as the least patch that
// is usual.
func (m *Moving) unit(config string) length.Length {
	if p := m.told(config); p != nil && p.Windows != nil {
		return length.Length(p.Windows.Unit.NM)
	}
	return 3 * plan.StartsIn(m.Plan.Units).Least / 2
}

func patchCloths(f *FaceTeller) {
	cloths := f.face.Cloths
	for i, letter := range cloths {
		f.join(i, len(cloths))
		f.listed(fmt.Sprintf("cloths/%d", i), f.label(fmt.Sprintf("Fabric %d of the patches", i+1)), letter,
			len(cloths),
			func(face *plan.Face, letter string) { face.Cloths = letters(face.Cloths, i, letter) })
	}
	f.Say(" ")
	f.choose("cloths#add", f.label("Add a fabric to the patches"), "", further(f.Teller, cloths),
		func(face *plan.Face, letter string) { face.Cloths = append(face.Cloths, letter) })
}

// letters is a list of cloths with another one at a place, or without it.
func letters(list []string, i int, letter string) []string {
	out := slices.Clone(list)
	if letter == "" {
		return slices.Delete(out, i, i+1)
	}
	out[i] = letter
	return out
}

// further are the cloths that a list has not yet.
func further(t *Teller, list []string) []Option {
	out := []Option{{Says: "and more"}}
	for _, o := range faced(t) {
		if !slices.Contains(list, o.Key) {
			out = append(out, o)
		}
	}
	return out
}

// order tells in which order the cloths lie.
func order(f *FaceTeller) {
	face := f.face
	f.Say(", ")
	options := []Option{{Key: "alternate", Says: "in turn"}, {Key: "scrap", Says: "mixed, no like neighbours"}}
	if face.Block.Set() || face.Order.Kind == plan.OnGround {
		options = append(options, Option{Key: "on-ground", Says: "mixed, but for the ground of the blocks"})
	}
	options = append(options, Option{Key: "rows", Says: "laid by hand"})
	set := func(now *plan.Face, key string) {
		if now.Order = (plan.Order{Kind: plan.OrderKind(key)}); now.Order.Kind == plan.Rows {
			now.Order.Rows = front.Laid(face)
		}
	}
	f.choose("order", f.label("Order of the fabrics"), string(face.Order.Kind), options, set)
	if !face.Order.Kind.Mixed() {
		return
	}
	mixing(f)
}

// sash tells of strips between the patches, with posts where they meet or without.
func sash(f *FaceTeller) {
	s, now, first := f.face.Sash, "none", f.first()
	if s != nil {
		if now = "between"; s.Outside {
			now = "outside"
		}
	}
	begun := plan.Sash{Width: f.Usual().Sash, Cloth: first}
	f.Say(" ")
	f.chooseAlso([]string{f.at("sash/outside")}, "sash", f.label("Sashing"), now,
		[]Option{{Key: "none", Says: "No sashing"},
			{Key: "between", Says: "Sashing between them"}, {Key: "outside", Says: "Sashing between and round them"}},
		func(face *plan.Face, key string) {
			if key == "none" {
				face.Sash = nil
				return
			}
			next := begun
			if face.Sash != nil {
				next = *face.Sash
			}
			next.Outside = key == "outside"
			face.Sash = &next
		})
	if s != nil {
		f.Say(", ")
		f.Length(f.at("sash/width"), f.label("Finished width of the sashing"))
		f.Say(" wide, of ")
		f.cloth("sash/cloth", f.label("Fabric of the sashing"), s.Cloth, func(face *plan.Face, letter string) {
			next := *face.Sash
			next.Cloth = letter
			face.Sash = &next
		})
		posts(f, *s)
		f.whole("sashes")
	}
	f.Say(".")
}

func posts(f *FaceTeller, s plan.Sash) {
	now := ""
	if s.Posts {
		now = or(s.PostCloth, or(s.Cloth, f.first()))
	}
	f.Say(", ")
	f.choose("sash/posts", f.label("Cornerstones where sashing meets"), now,
		with(Option{Says: "the long ones running through"},
			each(faced(f.Teller), func(o Option) string { return "with cornerstones of " + o.Says })),
		func(face *plan.Face, letter string) {
			next := *face.Sash
			next.Posts, next.PostCloth = letter != "", letter
			face.Sash = &next
		})
}

// borders tells what goes round the patches, from inside to outside.
func borders(f *FaceTeller) {
	for i, b := range f.face.Borders {
		border(f, i, b)
	}
	says, width := "Add a border", plan.Extent{Rest: true}
	if len(f.face.Borders) > 0 {
		says, width = "Add another border", plan.Extent{Width: 2 * f.Usual().Sash}
	}
	first := f.first()
	f.Press(Press{ID: f.id("borders") + "#add", Says: says}, func(m *Moving) {
		f.change(m, func(face *plan.Face) {
			face.Borders = append(face.Borders, plan.Border{Width: width, Cloth: first})
		})
	})
	f.End()
}

// chooseBorder adds a choice of one border of the face.
func chooseBorder(f *FaceTeller, i int, key, label, now string, options []Option,
	do func(b *plan.Border, key string)) {
	var also []string
	if key == "corner_cloth" { // of a border in patches its cloth is that of the corners
		also = append(also, f.at("borders", i, "cloth"))
	}
	f.chooseAlso(also, fmt.Sprintf("borders/%d/%s", i, key), f.label(label), now, options,
		func(face *plan.Face, key string) {
			b := face.Borders[i]
			if b.Pieced != nil {
				pieced := *b.Pieced
				b.Pieced = &pieced
			}
			do(&b, key)
			face.Borders[i] = b
		})
}

func border(f *FaceTeller, i int, b plan.Border) {
	n, first := strconv.Itoa(i+1), f.first()
	f.Say("A border of ")
	if b.Pieced != nil {
		pieced(f, i, b)
	} else {
		chooseBorder(f, i, "cloth", "Fabric of border "+n, or(b.Cloth, first), faced(f.Teller),
			func(b *plan.Border, letter string) { b.Cloth = letter })
	}
	f.Say(" ")
	two := faced(f.Teller)
	two = two[:min(2, len(two)-1)]
	chooseBorder(f, i, "pieced", "Border "+n+" in one piece or in patches", yesNo(b.Pieced != nil),
		[]Option{{Key: "no", Says: "cut in strips"}, {Key: "yes", Says: "in patches"}},
		func(b *plan.Border, key string) {
			if b.Pieced = nil; key == "yes" {
				b.Pieced = &plan.PiecedBorder{}
				for _, o := range two {
					b.Pieced.Cloths = append(b.Pieced.Cloths, o.Key)
				}
			}
		})
	f.Say(" ")
	borderWidth(f, i, b)
	f.Say(", ")
	var options []Option
	for _, key := range plan.CornerKinds.Names() {
		if rules, _ := plan.CornerKinds.Of(key); b.Pieced == nil || !rules.Whole {
			options = append(options, Option{Key: key, Says: rules.Says})
		}
	}
	chooseBorder(f, i, "corner", "Corners of border "+n, or(string(b.Corner), "butted"), options,
		func(b *plan.Border, key string) { b.Corner = plan.BorderCorner(key) })
	if b.Corner.Rules().Filled {
		f.Say(" of ")
		chooseBorder(f, i, "corner_cloth", "Fabric of the corner squares of border "+n,
			or(b.CornerCloth, or(b.Cloth, first)), faced(f.Teller),
			func(b *plan.Border, letter string) { b.CornerCloth = letter })
	}
	f.Say(". ")
	f.Press(Press{ID: f.id("borders", i) + "#off", Says: "Take the border off",
		Label: f.label("Take border " + n + " off")}, func(m *Moving) {
		f.change(m, func(face *plan.Face) { face.Borders = slices.Delete(face.Borders, i, i+1) })
	})
	f.Say(" ")
}

func borderWidth(f *FaceTeller, i int, b plan.Border) {
	n := strconv.Itoa(i + 1)
	now := "given"
	if b.Width.Rest {
		now = "rest"
	}
	f.Choose(Choice{ID: f.id("borders", i, "width#is"), Label: f.label("Width of border " + n), Now: now,
		Options: []Option{{Key: "rest", Says: "takes the rest"}, {Key: "given", Says: "measures"}}},
		func(m *Moving, key string) {
			width := plan.Extent{Rest: true}
			if key == "given" {
				width = plan.Extent{Width: m.border(f.place.Config, n)}
			}
			f.change(m, func(face *plan.Face) { face.Borders[i].Width = width })
		})
	if b.Width.Rest {
		f.Widget("border", f.place.Config+"/"+n)
		return
	}
	f.Say(" ")
	f.Length(f.at("borders", i, "width"), f.label("Finished width of border "+n))
	f.Say(" wide")
}

// border is how wide a border of a piece is now, two usual sashes where that is not known.
func (m *Moving) border(config, n string) length.Length {
	for _, term := range m.Reckoned().Sums[config+".finished.width"] {
		if term.Term == "border "+n {
			return length.Length(term.Amount.NM)
		}
	}
	return 2 * plan.StartsIn(m.Plan.Units).Sash
}

// pieced tells the cloths of a border of patches, and how many there are.
func pieced(f *FaceTeller, i int, b plan.Border) {
	n, cloths := strconv.Itoa(i+1), b.Pieced.Cloths
	for k, letter := range cloths {
		f.join(k, len(cloths))
		options := faced(f.Teller)
		if len(cloths) > 1 {
			options = append(options, Option{Says: "remove it"})
		}
		chooseBorder(f, i, fmt.Sprintf("pieced/cloths/%d", k), fmt.Sprintf("Fabric %d of border %s", k+1, n), letter,
			options,
			func(b *plan.Border, letter string) { b.Pieced.Cloths = letters(b.Pieced.Cloths, k, letter) })
	}
	f.Say(" ")
	chooseBorder(f, i, "pieced/cloths#add", "Add a fabric to border "+n, "", further(f.Teller, cloths),
		func(b *plan.Border, letter string) { b.Pieced.Cloths = append(slices.Clone(b.Pieced.Cloths), letter) })
	f.Say(", ")
	counted(f, i, "across", b.Pieced.Across, func(b *plan.PiecedBorder) *int { return &b.Across })
	f.Say(" across and ")
	counted(f, i, "down", b.Pieced.Down, func(b *plan.PiecedBorder) *int { return &b.Down })
	f.Say(" down,")
}

// counted is how many patches a side of a border has, or as many as fit.
func counted(f *FaceTeller, i int, way string, now int, of func(*plan.PiecedBorder) *int) {
	if now > 0 {
		f.Count(f.at("borders", i, "pieced", way), f.label(fmt.Sprintf("Patches %s in border %d", way, i+1)))
		return
	}
	cloths := fmt.Sprintf("%s/borders/%d/pieced/cloths", f.place.Inner, i)
	f.Press(Press{ID: f.id("borders", i, "pieced", way), Says: "as many as fit",
		Label: f.label(fmt.Sprintf("As many patches %s as fit in border %d", way, i+1))}, func(m *Moving) {
		n := m.patches(f.place.Config, cloths, way)
		f.change(m, func(face *plan.Face) {
			pieced := *face.Borders[i].Pieced
			*of(&pieced) = n
			face.Borders[i].Pieced = &pieced
		})
	})
}

// patches is how many patches a side of a border has now, to begin counting from: of the first piece whose cloths
// are decided at a path of its face.
func (m *Moving) patches(config, cloths, way string) int {
	role := ref.BorderSecond
	if way == "down" {
		role = ref.BorderFirst
	}
	p := m.told(config)
	if p == nil {
		return 1
	}
	n := 0
	for _, c := range m.Reckoned().Cuts {
		if c.About.Piece == p.Name && c.About.Role == role && c.About.Paints == cloths {
			n += c.Count
		}
	}
	return max(1, int(math.Round(float64(n)/float64(max(1, p.Count))/2)))
}
