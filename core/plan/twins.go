package plan

import "slices"

// Pieces that are made twice, such as the two ends of a hood, are alike until one of them is told apart: then each
// goes by the name of both with .1 or .2 behind it. The first is the one in front, on top or on the left.

// Twins are two pieces alike: the name of both, and that of the pieces among which they are where those are more.
type Twins struct{ Name, Among string }

// TwinNames are those under which both of two pieces alike are decided when they are told apart.
func TwinNames(piece string) [2]string { return [2]string{piece + ".1", piece + ".2"} }

// AloneIn is what a piece goes by in a plan that may not tell it from its twin: the name of both there.
func AloneIn(p Plan, piece string) string {
	for _, t := range p.Cover.Rules().Twice {
		if names := TwinNames(t.Name); slices.Contains(names[:], piece) && !Apart(p, t.Name) {
			return t.Name
		}
	}
	return piece
}

// twinsOf are all those names of a kind of cover, and those of both together where they are no others.
func twinsOf(kind CoverKind) []string {
	var out []string
	rules := Cover{Kind: kind}.Rules()
	for _, t := range rules.Twice {
		names := TwinNames(t.Name)
		if out = append(out, names[:]...); t.Among != "" {
			out = append(out, t.Name)
		}
	}
	return out
}

// Apart reports whether two pieces alike are told apart.
func Apart(p Plan, piece string) bool {
	names := TwinNames(piece)
	_, first := p.Pieces[names[0]]
	_, second := p.Pieces[names[1]]
	return first || second
}

// deciding are the names under which a piece is decided, its own first: what is decided of both of two alike holds for
// each of them, and what is decided for all for every one.
func deciding(kind CoverKind, name string) []string {
	out := []string{name}
	for _, t := range (Cover{Kind: kind}).Rules().Twice {
		names := TwinNames(t.Name)
		if slices.Contains(names[:], name) {
			out = append(out, t.Name)
		}
		if t.Among != "" && slices.Contains(out, t.Name) {
			out = append(out, t.Among)
		}
	}
	return append(out, Common)
}

// Keeper is the name under which something of a piece is decided: its own where nobody decided it.
func Keeper(p Plan, name string, has func(Piece) bool) string {
	for _, at := range deciding(p.Cover.Kind, name) {
		if q, there := p.Pieces[at]; there && has(q) {
			return at
		}
	}
	return name
}

// TellApart is the plan with two pieces alike told apart: each has what was decided for both. What is fitted to one of
// them is on the first.
func TellApart(p Plan, piece string) Plan {
	p = p.Unshared()
	if p.Pieces == nil {
		p.Pieces = map[string]Piece{}
	}
	both := p.Piece(piece)
	if !shares(p, piece) {
		delete(p.Pieces, piece)
	}
	for _, name := range TwinNames(piece) {
		p.Pieces[name] = both
	}
	p = p.Unshared()
	for i := range p.Fittings {
		if p.Fittings[i].On == piece {
			p.Fittings[i].On = TwinNames(piece)[0]
		}
	}
	return p
}

// shares reports whether what is decided of a piece is decided of more than the two of it: side walls are walls.
func shares(p Plan, piece string) bool {
	return slices.ContainsFunc(p.Cover.Rules().Twice, func(t Twins) bool { return t.Among == piece })
}

// Alike is the plan with two pieces made alike again, both as the first of them is.
func Alike(p Plan, piece string) Plan {
	p = p.Unshared()
	names := TwinNames(piece)
	both := p.Piece(names[0])
	delete(p.Pieces, names[0])
	delete(p.Pieces, names[1])
	p.Pieces[piece] = both
	for i := range p.Fittings {
		if slices.Contains(names[:], p.Fittings[i].On) {
			p.Fittings[i].On = piece
		}
	}
	return p
}
