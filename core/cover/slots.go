package cover

import "umschlag/core/plan"

// Slot is a piece of a cover before anything is reckoned: what the plan decides, whatever sizes
// come out.
type Slot struct {
	// Name of the piece, Config the name under which the plan decides it, Title as a maker reads
	// it, and Count of pieces alike in one cover.
	Name, Config, Title string
	Count               int
	// Twins are the two of a piece that is made twice, as they are called when they are told apart: of two flaps that
	// differ in size alone it stands with the first.
	Twins *[2]Twin
	// Of is the piece that one of two was told apart from, and Where which of them it is; empty for any other.
	Of, Where string
}

// Twin is one of two pieces alike: its title, and where it is, as it stands behind the name of a seam.
type Twin struct{ Title, Where string }

// Slots are the pieces that a settled plan decides about, also where its cover cannot be built. A
// kind of cover that nobody knows has none.
func Slots(p plan.Plan) []Slot {
	k, known := Kinds.Of(string(p.Cover.Kind))
	if !known {
		return nil
	}
	var out []Slot
	for _, s := range k.Slots(p) {
		out = append(out, s.apart(p)...)
	}
	return out
}

// apart are the two of a piece that is made twice where the plan tells them apart, else the piece itself.
func (s Slot) apart(p plan.Plan) []Slot {
	if s.Twins == nil || s.Count != 2 || !plan.Apart(p, s.Name) {
		return []Slot{s}
	}
	var out []Slot
	for i, name := range plan.TwinNames(s.Name) {
		out = append(out, Slot{Name: name, Config: name, Title: s.Twins[i].Title, Count: 1, Of: s.Name,
			Where: s.Twins[i].Where})
	}
	return out
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
	plan.Cushion: fixed(one("front", "Front"), one("back", "Back")),
	plan.BoxedCushion: func(p plan.Plan) []Slot {
		out := []Slot{two("face", "Face", &topAndBelow), one("band", "Band")}
		if p.Back.Kind == plan.Zip {
			out = append(out, Slot{Name: "band.zip", Config: "band", Title: "Band, half beside the zip", Count: 2})
		}
		return out
	},
	"wrap-hood": func(p plan.Plan) []Slot {
		main := one("main", "Main panel")
		if p.Cover.SplitTop {
			main = two("main", "Main panel, half", &halves)
		}
		return []Slot{main, two("end", "End panel", &leftAndRight)}
	},
	"band-hood": fixed(two("face", "Face", &frontAndBehind), one("band", "Band")),
	"skirt-hood": func(p plan.Plan) []Slot {
		if c := p.Cover.Corners; c.Kind == plan.RoundCorners && c.Radius+c.Plate > 0 {
			return []Slot{one("top", "Top"), one("wall", "Wall, in a ring")}
		}
		sides := two("wall.side", "Wall, sides", &sideWalls)
		sides.Config = sidesConfig(p)
		return []Slot{one("top", "Top"), two("wall", "Wall, front and back", &walls), sides}
	},
	plan.Jacket: func(p plan.Plan) []Slot {
		out := []Slot{one("outside", "Outside"), one("inside", "Inside")}
		if p.Cover.Flaps.Style == plan.TurnedIn {
			return out
		}
		flap := two("flap", "Flap", &flaps)
		if d := p.Cover.Flaps.Depth; d.Front == d.Back || plan.Apart(p, "flap") {
			return append(out, flap)
		}
		front, back := one("flap", flaps[0].Title), one("flap.back", flaps[1].Title)
		front.Twins, back.Config = &flaps, "flap"
		return append(out, front, back)
	},
	plan.Pad: fixed(one("top", "Top"), one("under", "Under side")),
}

// sidesConfig is the name under which side walls are decided: that of all walls, or one of their own.
func sidesConfig(p plan.Plan) string {
	if _, own := p.Pieces["wall.side"]; own {
		return "wall.side"
	}
	return "wall"
}

// one is a piece that there is once, two one that is made twice.
func one(name, title string) Slot { return Slot{Name: name, Config: name, Title: title, Count: 1} }

func two(name, title string, twins *[2]Twin) Slot {
	return Slot{Name: name, Config: name, Title: title, Count: 2, Twins: twins}
}

// The first of two is the one in front, on top or on the left.
var (
	topAndBelow    = [2]Twin{{"Top face", "on top"}, {"Lower face", "below"}}
	frontAndBehind = [2]Twin{{"Front face", "in front"}, {"Back face", "behind"}}
	halves         = [2]Twin{{"Front half", "in front"}, {"Back half", "behind"}}
	leftAndRight   = [2]Twin{{"Left end", "on the left"}, {"Right end", "on the right"}}
	walls          = [2]Twin{{"Front wall", "in front"}, {"Back wall", "behind"}}
	sideWalls      = [2]Twin{{"Left wall", "on the left"}, {"Right wall", "on the right"}}
	flaps          = [2]Twin{{"Front flap", "in front"}, {"Back flap", "behind"}}
)
