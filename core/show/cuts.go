package show

import (
	"math"

	"umschlag/core/answer"
	"umschlag/core/cutting"
	"umschlag/core/edging"
	"umschlag/core/front"
	"umschlag/core/lay"
	"umschlag/core/plan"
	"umschlag/core/ref"
	"umschlag/core/ruler"
	"umschlag/core/stock"
	"umschlag/core/supply"
)

// cuts tells all that is cut, each with its sum.
func cuts(t *teller) {
	for _, c := range t.List.Cuts {
		out := answer.Cut{ID: c.ID, About: c.About, Piece: c.Piece, Part: c.Part, Title: c.Title, Layer: c.Layer,
			Cloth: c.Cloth, Shape: c.Shape,
			Width: t.l(c.Size.Width.Total()), Height: t.l(c.Size.Height.Total()), Count: c.Count, Total: c.Total,
			Gives: c.Gives, Patches: c.Patches * t.Plan.Copies, Sewn: c.Sewn, Over: c.Over,
			Whole: c.Whole, As: c.Finished,
			Waits: c.Waits, WaitsFor: waitsFor(c.Waits), Motif: cutting.Motif(t.Plan, c), Selvedge: c.Selvedge,
			Spoiled: c.Spoiled, Done: c.Done}
		if c.Line != nil {
			out.Line = answer.Vertices(c.Line)
		}
		if c.Path != "" {
			out.Path, out.Mirrored, out.Inset = c.Path, c.Inset > 0, int64(c.Inset)
		}
		t.explain(c.ID, c.Size)
		t.out.Cuts = append(t.out.Cuts, out)
	}
}

// units tells the units that blocks are sewn from.
func units(t *teller) {
	for _, u := range t.List.Units {
		of, err := stock.UnitsOf(t.Plan, plan.Made{Cells: u.Cells, Cloths: u.Cloths, Width: u.Width, Height: u.Height})
		if err != nil { // told already, with what helps
			of = stock.Units{Alike: u.Alike}
		}
		out := answer.Units{Step: u.Step.String(), Name: of.Named(u.Need),
			Says: of.Says(t.style), Cells: u.Cells, Cloths: u.Cloths, Width: t.l(u.Width), Height: t.l(u.Height),
			Need: u.Need, Have: u.Have, Over: u.Over, Kept: u.Kept, Held: of.Held(t.Made),
			Made: append([]int{}, u.Made...)}
		for _, i := range u.Made {
			out.There += t.Plan.Made[i].Count
		}
		out.Surplus = out.There - u.Have
		if out.Spare = max(0, out.Surplus+u.Over-u.Kept); u.Kept == 0 {
			out.Takes = min(out.Held, u.Need-u.Have)
		}
		t.out.Units = append(t.out.Units, out)
	}
}

// waitsFor is what is measured at the gate a cut waits for, in words.
func waitsFor(gate string) string {
	switch gate {
	case "":
		return ""
	case ref.FrontCentre.String():
		return "the quilted centre"
	}
	return "the front"
}

// fittings tells what is sewn onto the pieces, in its places.
func fittings(t *teller) {
	for _, f := range t.Fittings {
		out := answer.Fitting{Index: f.Index, Key: t.Plan.Fittings[f.Index].Key, Title: f.Title, On: f.On,
			Boxes: []answer.Box{}, Round: f.Round, Lines: []answer.Line{},
			From: answer.Distances{Left: t.l(f.From.Left), Right: t.l(f.From.Right), Top: t.l(f.From.Top),
				Bottom: t.l(f.From.Bottom)},
			Check: f.Check, Fixing: f.Fixing}
		for _, l := range f.Lines {
			out.Lines = append(out.Lines,
				answer.Line{X1: int64(l.X1), Y1: int64(l.Y1), X2: int64(l.X2), Y2: int64(l.Y2)})
		}
		for _, b := range f.Boxes {
			out.Boxes = append(out.Boxes,
				answer.Box{X: int64(b.X), Y: int64(b.Y), Width: int64(b.Width), Height: int64(b.Height)})
		}
		t.out.Fittings = append(t.out.Fittings, out)
		if f.Buttons > 0 {
			t.out.Counts["buttons"] += f.Buttons
		}
	}
}

// strips tells how the strips of edgings lie on their cloth.
func strips(t *teller) {
	for _, e := range t.Edges.Strips {
		t.explainSum(e.What+".strip", e.Width)
		t.out.Counts[e.What+" strips"] = len(e.Yield.Strips)
		t.out.Strips = append(t.out.Strips, stripsOf(t, e))
	}
}

func stripsOf(t *teller, e edging.Strips) answer.Strips {
	y := e.Yield
	out := answer.Strips{What: e.What, Cut: e.Cut, Bias: e.Bias, Width: t.l(e.Width.Total()), Need: t.l(e.Need.Total()),
		Joined: t.l(y.Joined), Area: t.l(y.Area),
		Cloth: answer.Size{Width: t.l(y.Width), Height: t.l(y.Height)}, Lie: []answer.StripLie{}}
	for _, s := range y.Strips {
		lie := answer.StripLie{Length: t.l(s.Length), Corners: []answer.Point{}}
		for _, p := range s.Corners {
			lie.Corners = append(lie.Corners, answer.Point{X: int64(math.Round(p.X)), Y: int64(math.Round(p.Y))})
		}
		out.Lie = append(out.Lie, lie)
	}
	return out
}

// pad tells what fills a pad that is made at home.
func pad(t *teller) {
	if p := t.Pad; p != nil {
		t.out.Fibre = &answer.Fibre{Gate: ref.PadFilled.String(), Least: p.Least, Most: p.Most, Weighed: p.Weighed}
	}
}

// wanted explains how much of every cloth it takes.
func wanted(t *teller) {
	for _, c := range t.Cloths {
		if c.Wanted > 0 {
			t.explainSum("cloth."+c.Letter, c.Sum())
		}
	}
}

// cloths tells every cloth with its lay.
func cloths(t *teller) {
	for _, c := range t.Cloths {
		out := answer.ClothNeed{Cloth: c.Letter, Name: c.Name, Length: t.l(c.Lay.Length), Need: t.l(c.Wanted),
			Buy: t.l(c.As.Billed(c.Buy)), BuyText: c.As.Says(c.Buy, t.style), Pieces: inPieces(c), Short: t.l(c.Short),
			Lay: layOf(t, c.Lay), Odd: oddLays(t, c.Odd), Done: c.Done, Returned: c.Returned, Sought: c.Sought,
			InCupboard: c.InCupboard}
		if c.Have != nil {
			have := t.l(*c.Have)
			out.Have = &have
		}
		if c.Free > 0 {
			free := t.l(c.Free)
			out.Free = &free
		}
		if c.Kept > 0 || c.KeptOdd > 0 {
			out.Kept = &answer.Kept{Length: t.l(c.Kept), Odd: c.KeptOdd}
		}
		moves(t, c, &out)
		t.out.Cloths = append(t.out.Cloths, out)
	}
}

// inPieces is how many panels or quarters are bought; 0 of what is sold by a length.
func inPieces(c supply.Cloth) int {
	if c.As.Apart() {
		return c.Buy
	}
	return 0
}

// moves tells how a cloth is cut, its odd pieces first.
func moves(t *teller, c supply.Cloth, out *answer.ClothNeed) {
	cuts := make([]ruler.Cut, len(t.List.Cuts))
	for i, cut := range t.List.Cuts {
		cuts[i] = ruler.Cut{Title: cut.Title, Width: cut.Size.Width.Total(), Height: cut.Size.Height.Total(),
			Done: cut.Done, Motif: cutting.Motif(t.Plan, cut), Waits: waitsFor(cut.Waits)}
	}
	var all [][]ruler.Move
	for _, o := range c.Odd {
		all = append(all, ruler.Order(o.Lay, &o.Size, cuts))
	}
	all = append(all, ruler.Order(c.Lay, nil, cuts))
	ruler.Settle(all, cuts)
	for i, o := range c.Odd {
		out.Odd[i].Moves = movesOf(all[i], ruler.Speaker{Style: t.style, Cuts: cuts, Odd: o.Count})
	}
	out.Moves = movesOf(all[len(c.Odd)], ruler.Speaker{Style: t.style, Cuts: cuts})
}

func movesOf(all []ruler.Move, says ruler.Speaker) []answer.Move {
	out := []answer.Move{}
	for _, m := range all {
		one := answer.Move{Kind: string(m.Kind), Strips: append([]int{}, m.Strips...), Parts: []answer.MovePart{},
			Title: says.Title(m), Text: says.Text(m), Places: append([]int{}, m.Places...), Done: m.Done,
			Gives: m.Gives(), Within: m.Within(), Now: m.Now, Waits: m.Waits, Ends: append([]int{}, m.Ends...)}
		for _, p := range m.Parts {
			one.Parts = append(one.Parts, answer.MovePart{Cut: p.Cut, Count: m.Pieces(p, max(1, says.Odd))})
		}
		out = append(out, one)
	}
	return out
}

func oddLays(t *teller, odd []supply.Odd) []answer.OddLay {
	out := []answer.OddLay{}
	for _, o := range odd {
		out = append(out, answer.OddLay{Width: t.l(o.Size.Width), Length: t.l(o.Size.Length), Count: o.Count,
			Lay: layOf(t, o.Lay)})
	}
	return out
}

func layOf(t *teller, l lay.Lay) answer.Lay { return answer.ShowLay(l, t.style) }

// counts names how many there are of what has to be counted.
func counts(t *teller) {
	for _, c := range t.out.Cuts {
		t.out.Counts["pieces to cut"] += c.Count
	}
	for _, p := range t.Panels {
		countFace(t, p.Face, p.Piece.Count)
	}
	if t.Cover.ByBack {
		if rings := t.Panels[0].Face.Rings; rings > 0 {
			t.out.Counts["border strips"] = 4 * rings
		}
		return
	}
	t.out.Counts["pieces"] = 0
	for _, p := range t.Cover.Pieces {
		t.out.Counts["pieces"] += p.Count
	}
}

// countFace counts what a face is made of, for as many pieces as have it.
func countFace(t *teller, f front.Face, pieces int) {
	add := func(name string, n int) {
		if n > 0 {
			t.out.Counts[name] += n * pieces
		}
	}
	for _, g := range f.Grids {
		add("patches", g.Patches)
		if len(g.Laid) > 1 || g.Columns > 1 {
			add("rows", g.Rows)
		}
		if g.Blocks {
			blocks := 0
			for _, row := range g.Laid {
				blocks += len(row)
			}
			add("blocks", blocks)
		}
	}
	names := map[front.Role]string{front.ShortSash: "short sashing strips",
		front.LongSash: "long sashing strips", front.Post: "cornerstones"}
	for _, p := range f.Parts {
		if name := names[p.Role]; name != "" {
			add(name, p.Count)
		}
		if p.Role == front.Setting {
			name := "side triangles"
			if p.Ref.Role == ref.SettingCorner {
				name = "corner triangles"
			}
			add(name, p.Patches)
		}
	}
	if w := f.Windows; w != nil {
		add("ground squares", f.Columns*f.Rows)
		add("whole windows", w.Whole)
		add("half windows", w.Half)
		add("window patches", w.Whole+(w.Half+1)/2)
		add("points", w.Points)
		if w.Buttons {
			add("buttons", w.Points)
		}
	}
	for _, s := range f.Sets {
		add("segments", s.Segments)
		add("strip sets", s.Count)
	}
}
