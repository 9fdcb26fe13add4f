package cutting

import (
	"umschlag/core/block"
	"umschlag/core/cover"
	"umschlag/core/front"
	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/core/outlook"
	"umschlag/core/panel"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// Face cuts the parts of the face of a panel. It returns the ids of the cuts, one for each part, and how
// many strips a panel of one cloth is joined from. The front of a cushion is no strip that may be joined.
// What waits for its centre is kept as large as planned parts may still come out.
func (l *List) Face(p, planned panel.Panel) (ids []string, strips int) {
	piece, seam := p.Piece, l.Plan.Cover.Seam
	ids, strips = make([]string, len(p.Face.Parts)), 0
	have, inUnits := takeUnits(l, p)
	defer func() { tellUnits(l, p, have, ids) }()
	for i, part := range p.Face.Parts {
		whole := part.Role == front.Panel
		c := Cut{About: aboutPart(piece.Name, part), Piece: piece.Name, Part: part.Name, Title: part.Title,
			Cloth: part.Cloth, Size: part.Size,
			Count: part.Count * piece.Count, MayTurn: true, At: p.Path + "/face",
			Shape: shapeOf(piece, part),
			Gives: part.Gives, Patches: part.Patches * piece.Count, Finished: part.Finished, Had: part.Had,
			Line: part.Line, Centred: l.centred(piece.Name, part), Sewn: inUnits[i]}
		if c.Sewn > 0 && c.Sewn == c.Patches*l.Plan.Copies {
			c.Had, c.Title = true, c.Title+", left from other covers"
		}
		if c.Centred {
			c.Off = middleOf(l.Plan, part)
		}
		if part.Ring > 0 && p.Chain.BordersAfter() {
			c.Late, c.Waits = AtCentre, l.centreGate(piece.Name)
			if i < len(planned.Face.Parts) {
				c.Keep = l.Most(planned.Face.Parts[i].Size, outlook.Reserve(planned.Face))
			}
		}
		if part.Ref.Role == ref.Panel && part.In == "" && !part.Had {
			c.Title = piece.Title
			if c.Had = piece.Had; c.Had {
				c.Title += ", cut already"
			}
		}
		if whole {
			ids[i], strips = l.Strips(piece.Strip, seam, c)
		} else {
			ids[i] = l.part(&p.Face.Parts[i], c)
		}
	}
	return ids, strips
}

// part cuts a part of a face; a strip longer than its cloth is wide is joined, where
// its print may be turned with it.
func (l *List) part(p *front.Part, c Cut) string {
	described, _ := l.Plan.Cloth(c.Cloth)
	upright := c.Size.Height.Total() > c.Size.Width.Total()
	if p.Role == front.Backing {
		c.Layer = Lining
	}
	if p.Role == front.Gathered { // a join is lost in the gathers
		c.MayTurn = false
		id, n := l.Strips(true, l.Plan.Cover.PiecingSeam, c)
		p.Joined = n
		return id
	}
	if !p.Long() || (upright && !described.Turns()) {
		return l.Add(c)
	}
	if upright && c.Size.Height.Total() > *described.Usable {
		c.Size.Width, c.Size.Height = c.Size.Height, c.Size.Width
		c.Keep.Width, c.Keep.Height = c.Keep.Height, c.Keep.Width
	}
	if alongFabric(l, c) {
		return l.Add(c)
	}
	id, n := l.Strips(true, l.Plan.Cover.PiecingSeam, c)
	p.Joined = n
	return id
}

// alongFabric tells of a strip that is longer than its cloth is wide that it comes in one piece along the cloth, and
// takes at most a quarter more of its length there than it would in joined ones, one below the other: so wide ones lie.
// Common practice: a join is spared where that costs little.
func alongFabric(l *List, c Cut) bool {
	cloth, _ := l.Plan.Cloth(c.Cloth)
	long, wide, seam := c.Size.Width.Total(), c.Size.Height.Total(), l.Plan.Cover.PiecingSeam
	usable := cloth.Usable.Floor(l.Plan.Habits.Step)
	if !cloth.Turns() || c.Centred || long <= usable || wide > usable || usable <= 4*seam {
		return false
	}
	return 4*long <= (5 * wide).Times(joined(long, seam, usable))
}

// aboutPart is what a part of the face of a piece is about.
func aboutPart(piece string, p front.Part) ref.About {
	out := ref.AboutOf(p.Ref)
	out.Piece, out.Part, out.Ring, out.Paints = piece, p.In, p.Ring, p.Paints
	return out
}

// shapeOf is how a part is cut: a panel with rounded or tapered corners by a
// template, everything else by the ruler.
func shapeOf(piece cover.Piece, part front.Part) string {
	if straight(part) {
		return "" // told by its size
	}
	if part.Shape != "" {
		return part.Shape
	}
	if piece.Shaped() && part.Role == front.Panel {
		return "template"
	}
	return ""
}

// straight tells that a part is cut as a square or a rectangle.
func straight(part front.Part) bool {
	return part.Shape == string(block.Square) || part.Shape == string(block.Rect)
}

// Most is the size that is kept for a piece that may come out so much larger, up to the ruler step.
func (l *List) Most(s sum.Size, more length.Length) lay.Size {
	up := func(s sum.Sum) length.Length { return (s.Total() + more).Ceil(l.Plan.Habits.Step) }
	return lay.Size{Width: up(s.Width), Height: up(s.Height)}
}

// centreGate is where the quilted centre of a front is measured before its borders are cut; empty when it was, and for
// pieces that are not measured.
func (l *List) centreGate(piece string) string {
	if _, _, was := l.Plan.MeasuredAt(ref.FrontCentre); was || piece != "front" || !l.Plan.Cover.Rules().ByBack {
		return ""
	}
	return ref.FrontCentre.String()
}
