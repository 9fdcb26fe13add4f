package work

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"umschlag/core/front"
	"umschlag/core/length"
	"umschlag/core/machine"
	"umschlag/core/plan"
	"umschlag/core/press"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// makeFace sews a face of patches: units, rows, and the rows to each other; strips that
// are cut across; the faces of a stack.
func makeFace(b *builder) {
	strands := []func(){func() { makeWorked(b) }, func() { makeGrids(b) }}
	for _, part := range b.Face.Worked {
		strands = append(strands, func() { inPart(b, part, makeWorked) })
	}
	b.apart(strands...)
}

// makeGrids are sewn from what their blocks are made of.
func makeGrids(b *builder) {
	f := b.Face
	makeSets(b)
	makeUnits(b)
	var strands []func()
	at := 0
	for i, g := range f.Grids {
		var bands []front.Band
		for ; at < len(f.Bands) && f.Bands[at].Group == i+1; at++ {
			bands = append(bands, f.Bands[at])
		}
		strands = append(strands, func() { makeGrid(b, g, bands) })
	}
	b.apart(strands...)
}

// inPart does a thing for a part of a stack.
func inPart(b *builder, part front.Worked, do func(*builder)) {
	face, in := b.Face, b.in
	b.Face, b.in = part.Face, part.In
	b.Face.Bands = nil // its rows have other numbers in the stack
	do(b)
	b.Face, b.in = face, in
}

// sewSamples are sewn before anything is cut: they decide how much cloth gathers take.
func sewSamples(b *builder) {
	if g := b.Face.Gather; g != nil {
		b.add(Step{Of: b.in, Role: ref.DoSample, Stage: Cutting, Title: "Sew a sample of the gathers",
			Machine: gathering,
			Text: fmt.Sprintf("Sew the same gathering rows on a strip of the same fabric, %s. Pull it up as you like it, and divide its length before by its length after: the plan says %.4g.",
				b.about(4*length.Inch, 10*length.Centimetre)+" × "+b.about(8*length.Inch, 20*length.Centimetre),
				g.Ratio),
			Check: "Looser gathers spread more: if the ratio is another one, change the plan before the panel is cut."})
	}
	for _, part := range b.Face.Worked {
		inPart(b, part, sewSamples)
	}
}

// gathering is the machine set up for rows that are drawn in.
var gathering = machine.SetUp{Stitch: "straight stitch 4 to 5 mm, upper tension loosened", Needle: "80/12"}

// makeWorked draws a panel in and trims it, folds windows, backs a found panel and lays a
// pocket on.
func makeWorked(b *builder) {
	if b.Face.Windows != nil {
		makeWindows(b)
	}
	if g := b.Face.Gather; g != nil {
		way := map[plan.Direction]string{plan.AlongWay: "from top to bottom",
			plan.Slantwise: "along the diagonal"}[g.Direction]
		if way == "" {
			way = "from side to side"
		}
		text := fmt.Sprintf("Sew two rows of long stitches %s along each edge, and more rows between, as many stitches from mark to mark in each. Mark fabric and panel in eighths; match the marks and pull up the threads until %s measures %s, and stitch over them.", way, b.text(g.Needed), b.text(g.Wanted))
		if joined := b.Face.Parts[0].Joined; joined > 1 {
			text = fmt.Sprintf("Join the %d strips end to end. ", joined) + text
		}
		b.add(Step{Of: b.in, Role: ref.DoGather, Stage: Piecing, Title: "Gather the panel",
			Stack: []Sheet{{What: "panel", Up: RightUp, Cloth: b.faceCloth(b.on)}}, Text: text, Machine: gathering,
			Caution: pinsText(b),
			Check:   fmt.Sprintf("It lies flat at the edges; trim it to %s.", b.size(b.Face.Sewn))})
	}
	for _, f := range b.Face.Found {
		makeFound(b, f)
	}
	for _, p := range b.Face.Parts {
		if p.Role == front.PocketPart {
			b.add(Step{Of: p.In, Role: ref.DoPocket, Stage: Piecing,
				Stack: append(b.faceUp(b.on), Sheet{What: "pocket, folded", Up: RightUp, Cloth: b.faceCloth(b.on)}),
				Title: "Lay the pocket on", Machine: joining(b), Press: "Press the fold.", Caution: ironCaution,
				Text:  "Fold it in half, wrong sides together, the fold at the top; stitch along the fold, lay it on the lower half and baste it round three sides within the seam.",
				Check: "The fold lies level; a hand goes in."})
		}
	}
}

// makeWindows folds the units, joins them, and rolls their edges over the patches.
func makeWindows(b *builder) {
	w, f := b.Face.Windows, b.Face
	units := f.Columns * f.Rows
	b.add(Step{Of: b.in, Role: ref.DoFoldUnits, Stage: Piecing, Stack: []Sheet{{What: "square", Up: WrongUp}},
		Turned: true, Things: units, Title: fmt.Sprintf("Fold the %d units", units), Press: "Press every fold sharp.",
		Caution: ironCaution,
		Text:    fmt.Sprintf("Press the edges of each square in round a template of %s. Fold all four corners to the middle and press; fold the new corners to the middle and press again. The points stay loose: the flaps are opened once more to be joined.", b.text(w.Template)),
		Check:   fmt.Sprintf("Each unit is %s square, its corners sharp.", b.text(w.Unit))})
	b.add(Step{Of: b.in, Role: ref.DoJoinUnits, Stage: Piecing, Act: RowsJoined,
		Seams: f.Rows*(f.Columns-1) + f.Rows - 1,
		Stack: facing(Sheet{What: "units so far"}, Sheet{What: "next unit"}), Title: "Join the units",
		Bands: numbers(f.Bands), Machine: machine.SetUp{Stitch: "straight stitch 2.2 mm", Needle: "90/14"},
		Caution: needleCaution,
		Text:    fmt.Sprintf("%d rows of %d. Lay two units on each other, open the flaps of the sides that meet and sew along the crease, forwards and back at both ends; fold the flaps back. Then the rows to each other in the same way. Where four units meet, and in the middle of each, catch the points with a few stitches through all layers.", f.Rows, f.Columns),
		Check:   fmt.Sprintf("The panel is %s; measure it before the back is cut.", b.size(f.Sewn))})
	b.add(Step{Of: b.in, Role: ref.DoWindows, Stage: Piecing, Things: w.Whole + (w.Half+1)/2,
		Title: fmt.Sprintf("Sew %d windows and %d half ones", w.Whole, w.Half),
		Stack: []Sheet{{What: "units", Up: RightUp}, {What: "patch", Up: RightUp},
			{What: "folded edge, rolled over", Up: RightUp}}, Caution: pinsText(b),
		Text:  "Lay a patch over each join, on its point, roll the folded edges over it from all four sides and stitch them down, from one corner of the front to the other in one way, so that the thread is cut seldom; at the rim half a patch, its long side even with the edge.",
		Check: "No raw edge shows, and the folds lie in one curve from point to point."})
	if w.Buttons && w.Inner(b.in) > 0 {
		b.add(Step{Of: b.in, Role: ref.DoPoints, Stage: Piecing, Things: w.Inner(b.in),
			Machine: machine.SetUp{Hand: true, Stitch: "strong thread, taken double"},
			Stack:   []Sheet{{What: "units", Up: RightUp}, {What: "button"}},
			Title:   fmt.Sprintf("Sew %s on the points", count(w.Inner(b.in), "button", "buttons")),
			Text:    "Where units meet, through all layers." + rimLeft(b, w),
			Caution: buttonCaution})
	}
}

// rimLeft tells that the points at the rim get their buttons when the cover is closed.
func rimLeft(b *builder, w *front.Windows) string {
	if b.in != "" {
		return ""
	}
	return fmt.Sprintf(" The %d at the rim lie in the closing seam: theirs are sewn on when the cover is turned.", w.Rim())
}

// sewRimButtons sews the buttons on that lie in the closing seam.
func sewRimButtons(b *builder) {
	w := b.Face.Windows
	if w == nil || !w.Buttons {
		return
	}
	b.add(Step{Role: ref.DoRimPoints, Stage: Closing, Things: w.Rim(),
		Stack:   append(rightOut(b), Sheet{What: "button"}),
		Machine: machine.SetUp{Hand: true, Stitch: "strong thread, taken double"},
		Title:   fmt.Sprintf("Sew %d buttons on the rim", w.Rim()), Caution: buttonCaution,
		Text:  "On the points along the edge, through the front alone.",
		Check: "The back is not caught."})
}

// makeGrid lays one grid out, sews its rows and joins them.
func makeGrid(b *builder, g front.Grid, bands []front.Band) {
	// folded units have a step of their own
	if len(bands) == 0 || (len(bands) == 1 && bands[0].Pieces < 2) || bands[0].Of == "units" {
		return
	}
	of := bands[0].Of
	if of != "segments" && of != "strips" {
		text := fmt.Sprintf("%d across and %d down, as drawn. Number the rows on slips of paper and take a photo.", g.Columns, g.Rows)
		if g.Point {
			text = fmt.Sprintf("%d across and %d down on their points, the others between them, the triangles round them, as drawn. Number the slanting rows on slips of paper and take a photo.", g.Columns, g.Rows)
		}
		laid := 0
		for _, row := range g.Laid {
			laid += len(row)
		}
		b.add(Step{Of: g.In, Role: ref.DoLayOut, Stage: Piecing, Things: laid, Title: "Lay out the " + of,
			Text: text, Bands: numbers(bands),
			Check: "No two neighbours are the same, unless the plan says so."})
	}
	if of != "segments" { // those come out of their sets
		var strands []func()
		for _, band := range bands {
			strands = append(strands, func() { sewBand(b, band, g) })
		}
		b.apart(strands...)
	}
	if len(bands) > 1 {
		joinRows(b, g, bands)
	}
	squareUp(b, g)
}

// squareUp trims off what patches stand out that are too much for their face.
func squareUp(b *builder, g front.Grid) {
	var off []string
	for i, edges := range []string{"at the left and at the right", "at the top and at the bottom"} {
		if g.Over[i] > 0 {
			off = append(off, b.text(g.Over[i]/2)+" "+edges)
		}
	}
	if len(off) == 0 {
		return
	}
	b.add(Step{Of: g.In, Role: ref.DoTrim, Stage: Piecing, Title: "Square up the patches", Caution: rotaryCaution,
		Text:  fmt.Sprintf("Trim off %s, so that it is %s.", strings.Join(off, " and "), b.size(g.Squared)),
		Check: "Opposite edges show equal patches, and both diagonals are equal."})
}

func numbers(bands []front.Band) []int {
	var out []int
	for _, b := range bands {
		out = append(out, b.Number)
	}
	return out
}

// sewBand sews one row.
func sewBand(b *builder, band front.Band, g front.Grid) {
	if band.Pieces < 2 {
		return
	}
	side := b.Pressed.Rows[band.Number]
	what := band.Of
	if band.Sashes && !band.Posts {
		what += " and sashing strips"
	}
	if band.Posts {
		what = "sashing strips and cornerstones"
	}
	step := Step{Of: band.In, No: band.No, Role: ref.DoRow, Stage: Piecing, Act: RowSewn, Seams: band.Pieces - 1,
		Stack: facing(Sheet{What: "row so far"}, Sheet{What: "next piece"}), Row: band.Number,
		Bands: []int{band.Number}, Title: fmt.Sprintf("Sew row %d", band.Number),
		Text: fmt.Sprintf("Join its %d %s from left to right.", band.Pieces, what), Machine: b.piecing(),
		Press: pressText(side), Side: side, Caution: pinsText(b)}
	switch {
	case g.Point:
		step.Text = fmt.Sprintf("From the lower left up: its blocks and the triangle at each end, %d pieces. The triangles’ right angles lie against the block.", band.Pieces)
		step.Check = "The edge the next row is sewn to is one straight line."
	case of(band, "strips"):
		step.Title, step.Text = "Sew the strips together",
			joinedFirst(b, front.Strip)+"Sew them side by side, starting from alternate ends, so that they do not bow."
		step.Check = fmt.Sprintf("Together they measure %s, raw edge to raw edge.", b.text(band.Length))
	default:
		step.Check = fmt.Sprintf("The row is %s long, raw edge to raw edge.", b.text(band.Length))
	}
	if isAlone(b) && band.Length > 0 {
		step.Gate, step.Reads, step.Expect = ref.Row(band.In,
			band.No), ReadsWidth, sum.Size{Width: sum.Of(sum.Part, "row as planned", band.Length)}
	}
	b.add(step)
}

// isAlone reports the one grid of a cushion's front, whose measurements the plan follows.
func isAlone(b *builder) bool {
	return b.in == "" && len(b.Face.Grids) == 1 && b.Plan.Cover.Rules().ByBack
}

func of(band front.Band, what string) bool { return band.Of == what }

// joinRows joins the rows of a grid.
func joinRows(b *builder, g front.Grid, bands []front.Band) {
	school := cmp.Or(b.Plan.Habits.PressRows, b.Plan.Habits.Press)
	side := b.Pressed.Between[bands[0].Number]
	if g.Sash && side != press.Open {
		side = press.ToSash
	}
	step := Step{Of: g.In, Role: ref.DoRows, Stage: Piecing, Act: RowsJoined, Seams: len(bands) - 1,
		Stack: facing(Sheet{What: "rows so far"}, Sheet{What: "next row"}), Title: "Join the rows",
		Text:    "Row 1 to row 2, row 3 to row 4 and so on, then pair to pair. " + meeting(school),
		Machine: b.piecing(), Press: pressText(side), Side: side, Caution: ironCaution, Bands: numbers(bands)}
	step.Check = fmt.Sprintf("The grid is %s, and both diagonals are equal.", b.size(g.Sewn))
	if isAlone(b) && b.Face.Rings > 0 && !b.Chain.BordersAfter() {
		step.Gate, step.Reads, step.Expect = ref.FrontPieced, ReadsSize, g.Sewn
		step.Check += " A border that is still to come is cut to what you measure."
	}
	switch {
	case g.Point:
		step.Text = "Two by two from the upper left, then pair to pair, and the two corners that are left last. " + meeting(school)
		step.Check = fmt.Sprintf("Square it up to %s: the outer points lie %s inside the edge, or farther where the triangles are larger.", b.size(g.Sewn), b.text(roundGrid(b)))
	case of(bands[0], "segments"):
		step.Title, step.Text = "Join the segments",
			"Every second one turned end for end, or taken from the other set. "+meeting(school)
	case g.Sash && !g.Posts:
		step.Title, step.Text = "Join the rows and the long sashing strips",
			joinedFirst(b, front.LongSash)+"A sashing strip to each row but the last first, then row to row from the top. Mark on each long sashing strip where the patches begin and end, so that they stand above each other."
	}
	b.add(step)
}

// makeSets sews strips together and cuts them across.
func makeSets(b *builder) {
	var strands []func()
	for i, s := range b.Face.Sets {
		strands = append(strands, func() { makeSet(b, i, s) })
	}
	b.apart(strands...)
}

func makeSet(b *builder, i int, s front.Set) {
	b.add(Step{Of: s.In, No: s.No, Role: ref.DoSet, Stage: Piecing, Seams: s.Count * (len(s.Cloths) - 1),
		Stack:   facing(sheetOf(b, "strips so far", s.Cloths, 0), sheetOf(b, "next strip", s.Cloths, 1)),
		Title:   fmt.Sprintf("Sew %s", count(s.Count, "strip set", "strip sets")),
		Text:    fmt.Sprintf("%s, each %s long: sew them from alternate ends. Press, square up one end, and cut across into segments %s wide: %d segments.", clothsText(b, s.Cloths), b.text(s.Length), b.text(s.Segment), s.Segments),
		Machine: b.piecing(), Press: pressSet(b, i), Caution: rotaryCaution,
		Check: fmt.Sprintf("A set is %s high, raw edge to raw edge. Square the end again after every few cuts.",
			b.text(s.Height))})
}

// pressSet is where the seams of the i-th strip set lie: sets whose segments meet, one
// up and one down.
func pressSet(b *builder, i int) string {
	for _, side := range b.Pressed.Rows {
		if side == press.Open {
			return pressText(press.Open)
		}
	}
	return "Press the seams of this strip set " + []string{"upwards.", "downwards."}[i%2]
}

func count(n int, one, many string) string {
	if n == 1 {
		return "one " + one
	}
	return fmt.Sprintf("%d %s", n, many)
}

// borderPress says where the seams of a border go.
func borderPress(b *builder) string {
	if b.Plan.Habits.PressBorders == plan.PressOpen {
		return "Press the seams open."
	}
	return "Press the seams towards the border."
}

func meeting(school plan.Press) string {
	if school == plan.PressNest {
		return "Nest the seams where they meet: push the allowances together until they lock."
	}
	return "Pin at every crossing: the allowances do not nest."
}

// sewBorders sews the borders on, and the faces of a stack to each other.
func sewBorders(b *builder) {
	var done []ref.Key
	for _, p := range b.Face.Parts {
		if p.Ring > 0 && !slices.Contains(done, p.Ref.Of) {
			done = append(done, p.Ref.Of)
			sewBorder(b, p.Ref.Of)
		}
	}
	if n := stacked(b.Face); n > 0 {
		b.add(Step{Role: ref.DoJoinParts, Stage: Piecing, Act: PartsJoined, Seams: n,
			Stack: facing(Sheet{What: "parts so far"}, Sheet{What: "next part"}), Title: "Join the parts",
			Machine: b.piecing(), Press: pressText(press.Down), Caution: pinsText(b),
			Text:  "From the top, middles pinned to middles. A part that came out longer is centred and squared up after." + standing(b),
			Check: fmt.Sprintf("The whole is %s, raw edge to raw edge.", b.size(b.Face.Sewn))})
		if len(b.Face.Standing) > 0 && !b.Quilted {
			b.add(Step{Role: ref.DoTrim, Stage: Piecing, Title: "Square up the parts", Caution: rotaryCaution,
				Text:  fmt.Sprintf("Trim what stands out even with the others, so that the whole is %s.", b.size(b.Face.Sewn)),
				Check: "Both diagonals are equal."})
		}
	}
}

// standing says which parts are longer than their place, and when that is trimmed off.
func standing(b *builder) string {
	var out []string
	for _, s := range b.Face.Standing {
		out = append(out, fmt.Sprintf("%s extends %s past either end", s.Name, b.text(s.By/2)))
	}
	if len(out) == 0 {
		return ""
	}
	first := strings.Join(out, ", ")
	when := "it is trimmed off next"
	if b.Quilted {
		when = "it is trimmed off when the whole is quilted"
	}
	return fmt.Sprintf(" %s: %s.", upper(first), when)
}

func stacked(f front.Face) int {
	n := 0
	for _, s := range f.Seams {
		if s.Kind == front.Stacked {
			n++
		}
	}
	return n
}

// sewBorder sews one border on, by how it is made and how its sides meet.
func sewBorder(b *builder, of ref.Key) {
	var parts []front.Part
	for _, p := range b.Face.Parts {
		if p.Ref.Of == of {
			parts = append(parts, p)
		}
	}
	corner, known := front.BorderCorners.Of(string(parts[0].Corner))
	if !known {
		corner, _ = front.BorderCorners.Of(string(plan.Butted))
	}
	step := func(role ref.Role, pair int, edge, title, text, check string) {
		s := Step{Role: role, Of: of, Edge: edge, Pair: pair, Stage: Piecing, Act: BorderSewn, Seams: 2,
			Stack: borderStack(b, role), Title: title, Text: text, Check: check,
			Machine: b.piecing(), Press: borderPress(b), Caution: pinsText(b)}
		if b.Chain.BordersAfter() {
			s = onBatting(b, s)
		}
		b.add(s)
	}
	for _, p := range parts {
		if p.Role == front.BorderPatch {
			step(ref.DoBorderPatches, 0, "", "Sew the border from its patches",
				"Lay them round as drawn, and sew each of the four sides into a strip.",
				"Lay each strip on the edge it is sewn to: they are alike.")
			step(ref.DoBorder, 0, "", "Sew the border on", corner.Second,
				"Measure across the middle before and after: the borders lie flat.")
			return
		}
	}
	for _, p := range parts {
		joined := ""
		if p.Joined > 1 {
			joined = fmt.Sprintf("Join %d strips end to end for each first, seams pressed open. ", p.Joined)
		}
		switch p.Role {
		case front.BorderEnd:
			step(ref.DoBorder, 1, p.Ref.Edge, p.Title, joined+corner.First(b.text(b.Plan.Cover.PiecingSeam)),
				fmt.Sprintf("Measure the sewn centre down its middle first: the strips are cut %s long for it.",
					b.text(p.Size.Height.Total())))
		case front.BorderRun:
			step(ref.DoBorder, 2, p.Ref.Edge, p.Title, joined+corner.Second,
				fmt.Sprintf("Measure across the middle first: the strips are cut %s long for it.",
					b.text(p.Size.Width.Total())))
		}
	}
	if last := corner.Last; last.Title != "" {
		step(ref.DoMitre, 0, "", last.Title, last.Text, last.Check)
	}
}

// joinedFirst tells to join strips that are longer than their cloth is wide.
func joinedFirst(b *builder, role front.Role) string {
	for _, p := range b.Face.Parts {
		if p.Role == role && p.Joined > 1 {
			return "Join those that are longer than their fabric is wide end to end first, seams pressed open. "
		}
	}
	return ""
}

// pressText says a side as an instruction.
func pressText(s press.Side) string {
	switch s {
	case "":
		return ""
	case press.Open:
		return "Press the seams open."
	case press.Dark:
		return "Press each seam to its darker side."
	case press.Down:
		return "Press all seams down, towards the bottom edge."
	case press.ToSash:
		return "Press all seams towards the sashing."
	case press.Up:
		return "Press all seams up, towards the top edge."
	default:
		return fmt.Sprintf("Press all seams to the %s, seen from the front.",
			strings.ReplaceAll(strings.ReplaceAll(string(s), "up-", "upper "), "down-", "lower "))
	}
}

// roundGrid is the seam round a grid or a found panel: to its border, or to the other pieces of the cover.
func roundGrid(b *builder) length.Length {
	if b.Face.Rings > 0 {
		return b.Plan.Cover.PiecingSeam
	}
	return b.Plan.Cover.Seam
}
