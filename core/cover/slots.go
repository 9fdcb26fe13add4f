package cover

import "umschlag/core/plan"

// Slot is a piece of a cover before anything is reckoned: what the plan decides, whatever sizes
// come out.
type Slot struct {
	// Name of the piece, Config the name under which the plan decides it, Title as a maker reads
	// it, and Count of pieces alike in one cover.
	Name, Config, Title string
	Count               int
}

// Slots are the pieces that a settled plan decides about, also where its cover cannot be built. A
// kind of cover that nobody knows has none.
func Slots(p plan.Plan) []Slot {
	k, known := Kinds.Of(string(p.Cover.Kind))
	if !known {
		return nil
	}
	return k.Slots(p)
}

// Decided is what a settled plan decides of a piece: those of one name in it may be several pieces.
func Decided(p plan.Plan, piece string) plan.Piece {
	for _, s := range Slots(p) {
		if s.Name == piece {
			return p.Piece(s.Config)
		}
	}
	return p.Piece(piece)
}

func fixed(list ...Slot) func(plan.Plan) []Slot { return func(plan.Plan) []Slot { return list } }

var slots = map[plan.CoverKind]func(plan.Plan) []Slot{
	plan.Cushion: fixed(Slot{"front", "front", "Front", 1}, Slot{"back", "back", "Back", 1}),
	plan.BoxedCushion: func(p plan.Plan) []Slot {
		out := []Slot{{"face", "face", "Face", 2}, {"band", "band", "Band", 1}}
		if p.Back.Kind == plan.Zip {
			out = append(out, Slot{"band.zip", "band", "Band, half beside the zip", 2})
		}
		return out
	},
	"wrap-hood": func(p plan.Plan) []Slot {
		main := Slot{"main", "main", "Main panel", 1}
		if p.Cover.SplitTop {
			main.Title, main.Count = "Main panel, half", 2
		}
		return []Slot{main, {"end", "end", "End panel", 2}}
	},
	"band-hood": fixed(Slot{"face", "face", "Face", 2}, Slot{"band", "band", "Band", 1}),
	"skirt-hood": func(p plan.Plan) []Slot {
		top := Slot{"top", "top", "Top", 1}
		if c := p.Cover.Corners; c.Kind == plan.RoundCorners && c.Radius+c.Plate > 0 {
			return []Slot{top, {"wall", "wall", "Wall, in a ring", 1}}
		}
		return []Slot{top, {"wall", "wall", "Wall, front and back", 2}, {"wall.side", "wall", "Wall, sides", 2}}
	},
	plan.Jacket: func(p plan.Plan) []Slot {
		out := []Slot{{"outside", "outside", "Outside", 1}, {"inside", "inside", "Inside", 1}}
		switch {
		case p.Cover.Flaps.Style == plan.TurnedIn:
			return out
		case p.Cover.Flaps.Depth.Front == p.Cover.Flaps.Depth.Back:
			return append(out, Slot{"flap", "flap", "Flap", 2})
		}
		return append(out, Slot{"flap", "flap", "Front flap", 1}, Slot{"flap.back", "flap", "Back flap", 1})
	},
	plan.Pad: fixed(Slot{"top", "top", "Top", 1}, Slot{"under", "under", "Under side", 1}),
}
