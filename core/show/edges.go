package show

import (
	"math"
	"slices"
	"strings"

	"umschlag/core/answer"
	"umschlag/core/back"
	"umschlag/core/cover"
	"umschlag/core/fitting"
	"umschlag/core/length"
	"umschlag/core/ref"
	"umschlag/core/sum"
	"umschlag/core/work"
)

// edgesOf marks on the pieces of a step what is worked at: the edge that is sewn, trimmed or bound, the way the tape
// lies, the corners that are clipped, and where a seam begins.
func edgesOf(t *teller, s work.Step) []answer.Edge {
	piece := pieceOf(t, s.Piece)
	if piece == nil || len(piece.Outline) == 0 {
		return nil
	}
	switch s.Role {
	case ref.DoTrim:
		return []answer.Edge{worked(piece, ring(piece.TrimmedOutline))}
	case ref.DoCorners:
		return rounded(piece)
	case ref.DoLayers:
		return []answer.Edge{worked(piece, ring(piece.CutOutline))}
	case ref.DoMeasureFront:
		return crossed(piece, piece.TrimmedOutline, t.size(s.Expect))
	case ref.DoMeasureCover:
		return crossed(piece, piece.Outline, t.size(s.Expect))
	case ref.DoMeasureCentre:
		return crossed(piece, centre(t, piece), t.size(s.Expect))
	case ref.DoClose:
		return closing(t, piece)
	case ref.DoFinish:
		if t.Back != nil {
			return closing(t, piece)[:1]
		}
	case ref.DoClip:
		return corners(piece)
	case ref.DoFlange:
		return []answer.Edge{worked(piece, ring(piece.Ditch))}
	case ref.DoBastePiping:
		return pipedEdges(t, piece)
	case ref.DoBottom, ref.DoOpenEdge:
		return openEdges(t, s)
	}
	return nil
}

func worked(piece *answer.Piece, path []answer.Vertex) answer.Edge {
	return answer.Edge{Piece: piece.Name, Kind: answer.WorkedEdge, Path: path}
}

// ring is a closed outline as a path that ends where it begins.
func ring(outline []answer.Vertex) []answer.Vertex {
	if len(outline) == 0 {
		return nil
	}
	return append(slices.Clone(outline), outline[0])
}

// around is the box around an outline.
func around(outline []answer.Vertex) answer.Box {
	x1, y1 := outline[0].X, outline[0].Y
	x2, y2 := x1, y1
	for _, v := range outline {
		x1, y1, x2, y2 = min(x1, v.X), min(y1, v.Y), max(x2, v.X), max(y2, v.Y)
	}
	return answer.Box{X: x1, Y: y1, Width: x2 - x1, Height: y2 - y1}
}

func from(x1, y1, x2, y2 int64) []answer.Vertex {
	return []answer.Vertex{{X: x1, Y: y1}, {X: x2, Y: y2}}
}

// crossed is the way the tape lies: across the middle and up the middle.
func crossed(piece *answer.Piece, outline []answer.Vertex, expect answer.Size) []answer.Edge {
	b := around(outline)
	x, y := b.X+b.Width/2, b.Y+b.Height/2
	return []answer.Edge{
		{Piece: piece.Name, Kind: answer.TapeEdge, Path: from(b.X, y, b.X+b.Width, y), Text: expect.Width.Text},
		{Piece: piece.Name, Kind: answer.TapeEdge, Path: from(x, b.Y+b.Height, x, b.Y), Text: expect.Height.Text},
	}
}

// centre is what lies inside the borders of a piece.
func centre(t *teller, piece *answer.Piece) []answer.Vertex {
	var out []answer.Vertex
	ring := map[string]int{}
	for _, c := range t.out.Cuts {
		ring[c.ID] = c.About.Ring
	}
	for _, c := range piece.Cells {
		if ring[c.Cut] == 0 {
			out = append(out, from(c.X, c.Y, c.X+c.Width, c.Y+c.Height)...)
		}
	}
	if len(out) == 0 {
		return piece.Outline
	}
	return out
}

// closing is the seam that closes a cushion, and where it begins: at an end of the gap that is left, or in the middle
// of the bottom, away from the corners. A bottom that is sewn already is left out.
func closing(t *teller, piece *answer.Piece) []answer.Edge {
	b := around(piece.Outline)
	left, right, bottom, middle := b.X, b.X+b.Width, b.Y+b.Height, b.X+b.Width/2
	path, start := ring(piece.Outline), answer.Vertex{X: middle, Y: bottom}
	square := !slices.ContainsFunc(piece.Outline, func(v answer.Vertex) bool { return v.Bulge != 0 }) &&
		len(piece.Outline) == 4
	gap := int64(t.Back.Gap)
	switch {
	case t.Back.Begun && square:
		path = []answer.Vertex{{X: left, Y: bottom}, {X: left, Y: b.Y}, {X: right, Y: b.Y}, {X: right, Y: bottom}}
		start = path[0]
	case gap > 0 && square:
		path = []answer.Vertex{{X: middle - gap/2, Y: bottom}, {X: left, Y: bottom}, {X: left, Y: b.Y},
			{X: right, Y: b.Y}, {X: right, Y: bottom}, {X: middle + gap/2, Y: bottom}}
		start = path[0]
	}
	begin := answer.Edge{Piece: piece.Name, Kind: answer.BeginEdge, Path: []answer.Vertex{start}, Text: "begin"}
	return []answer.Edge{worked(piece, path), begin}
}

// rounded are the curves of a piece; all of it where it has none, or where they meet.
func rounded(piece *answer.Piece) []answer.Edge {
	var out []answer.Edge
	around := ring(piece.TrimmedOutline)
	for i, v := range around[:len(around)-1] {
		if v.Bulge != 0 {
			out = append(out, worked(piece, around[i:i+2]))
		}
	}
	if len(out) == 0 {
		out = append(out, worked(piece, around))
	}
	return out
}

// corners are those of a piece that are neither rounded nor drawn in.
func corners(piece *answer.Piece) []answer.Edge {
	var out []answer.Edge
	n := len(piece.Outline)
	for i, v := range piece.Outline {
		before, after := piece.Outline[(i+n-1)%n], piece.Outline[(i+1)%n]
		if v.Bulge == 0 && before.Bulge == 0 && sharp(before, v, after) {
			out = append(out, answer.Edge{Piece: piece.Name, Kind: answer.CornerEdge, Path: []answer.Vertex{v}})
		}
	}
	return out
}

// sharp reports whether the way turns by more than an eighth of a turn.
func sharp(a, b, c answer.Vertex) bool {
	in := math.Atan2(float64(b.Y-a.Y), float64(b.X-a.X))
	out := math.Atan2(float64(c.Y-b.Y), float64(c.X-b.X))
	return math.Abs(math.Remainder(out-in, 2*math.Pi)) > math.Pi/4
}

// pipedEdges is where piping is basted on a piece: round it, or along the seam it is caught in.
func pipedEdges(t *teller, piece *answer.Piece) []answer.Edge {
	if t.Back != nil {
		b := around(piece.Outline)
		start := []answer.Vertex{{X: b.X + b.Width/2, Y: b.Y + b.Height}}
		return []answer.Edge{worked(piece, ring(piece.Outline)),
			{Piece: piece.Name, Kind: answer.BeginEdge, Path: start, Text: "begin"}}
	}
	var out []answer.Edge
	for i, j := range t.Cover.Joins {
		for _, seam := range piece.Seams {
			if j.Piped > 0 && seam.Join == i+1 && len(out) == 0 {
				out = append(out, worked(piece, seam.Path))
			}
		}
	}
	return out
}

// openEdges are those that no seam joins, of the piece at hand or of all.
func openEdges(t *teller, s work.Step) []answer.Edge {
	var out []answer.Edge
	for _, p := range t.Cover.Pieces {
		piece := pieceOf(t, p.Name)
		if piece == nil || s.Piece != "" && p.Name != s.Piece {
			continue
		}
		b := around(piece.Outline)
		right, bottom := b.X+b.Width, b.Y+b.Height
		for _, side := range []struct {
			edge cover.Allowance
			path []answer.Vertex
		}{{p.Edges.Left, from(b.X, bottom, b.X, b.Y)}, {p.Edges.Right, from(right, b.Y, right, bottom)},
			{p.Edges.Top, from(b.X, b.Y, right, b.Y)}, {p.Edges.Bottom, from(right, bottom, b.X, bottom)}} {
			if side.edge.Kind == sum.Seam {
				continue
			}
			e := worked(piece, side.path)
			long := max(side.path[1].X-side.path[0].X, side.path[0].X-side.path[1].X,
				side.path[1].Y-side.path[0].Y, side.path[0].Y-side.path[1].Y)
			e.Text = t.l(length.Length(long)).Text
			out = append(out, e)
		}
	}
	return out
}

// lying are pieces that lie on the table by themselves: as cut, with the edge that is worked at and the lines they are
// folded on.
func lying(t *teller, s work.Step) []answer.Lying {
	switch s.Role {
	case ref.DoForm:
		return cutLying(t, func(c answer.Cut) bool { return c.About.Role == ref.FormPanel }, "one side of the insert")
	case ref.DoMakeFitting:
		return fittingLying(t, s)
	}
	return backLying(t, s)
}

// cutLying is the first cut that is meant, by itself.
func cutLying(t *teller, meant func(answer.Cut) bool, title string) []answer.Lying {
	at := slices.IndexFunc(t.out.Cuts, meant)
	if at < 0 {
		return nil
	}
	c := t.out.Cuts[at]
	return []answer.Lying{{Title: title, Cloth: c.Cloth, Folds: []answer.L{},
		Size: answer.Size{Width: c.Width, Height: c.Height}}}
}

// fittingLying is what a fitting is made from: a strip with the long edge that is sewn and the middle it is folded on.
func fittingLying(t *teller, s work.Step) []answer.Lying {
	at := slices.IndexFunc(t.Fittings, func(f fitting.Fitted) bool { return f.Index+1 == s.Fitting })
	if at < 0 {
		return nil
	}
	made := t.Fittings[at]
	out := cutLying(t, func(c answer.Cut) bool {
		return c.About.Role == ref.FittingPart && c.About.Of == s.Of && c.Layer == "outer"
	}, strings.ToLower(made.Title))
	if len(out) == 0 {
		return nil
	}
	strip := &out[0]
	strip.Wrong = true
	if !made.Strip {
		return out
	}
	if strip.Title = "strip"; strip.Size.Height.NM > strip.Size.Width.NM { // it lies across the table
		strip.Size = answer.Size{Width: strip.Size.Height, Height: strip.Size.Width}
	}
	strip.Edge, strip.Along = "bottom", strip.Size.Width
	strip.Folds = append(strip.Folds, t.l(length.Length(strip.Size.Height.NM).Div(2)))
	return out
}

// backLying are the pieces of a back before they are joined.
func backLying(t *teller, s work.Step) []answer.Lying {
	if t.Back == nil || s.Piece != "back" {
		return nil
	}
	at := slices.IndexFunc(t.Back.Making, func(m back.Making) bool { return m.Role == s.Role })
	if at < 0 || len(t.Back.Making[at].Folds) == 0 || len(t.Back.Lies) != 2 {
		return nil
	}
	var out []answer.Lying
	for _, lie := range t.Back.Lies {
		panel := t.Back.Panels[lie.Panel]
		one := answer.Lying{Title: lie.Label, Cloth: t.Back.Cloth, Size: t.size(panel.Size), Wrong: s.Turned,
			Edge: "right", Along: t.l(panel.Size.Height.Total())}
		switch {
		case s.Role == ref.DoFold:
			one.Edge = ""
		case (lie.Label == "right") != s.Turned:
			one.Edge = "left"
		}
		for _, fold := range t.Back.Making[at].Folds {
			one.Folds = append(one.Folds, t.l(fold))
		}
		out = append(out, one)
	}
	// What lies at the left comes first: the right piece, where the wrong side is seen.
	if (out[0].Title == "right") != s.Turned {
		slices.Reverse(out)
	}
	return out
}
