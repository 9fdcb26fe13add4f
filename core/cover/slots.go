package cover

import "umschlag/core/plan"

// Slot is a piece of a cover before anything is reckoned: what the plan decides, whatever sizes
// come out.
type Slot struct {
	// Name of the piece, Config the name under which the plan decides it, Title as a maker reads
	// it, and Count of pieces alike in one cover.
	Name, Config, Title string
	Count               int
	// Twins are the titles of the two of a piece that is made twice when they are told apart; of two flaps that differ
	// in size alone they stand with the first.
	Twins *[2]string
	// Of is the piece that one of two was told apart from; empty for any other.
	Of string
}

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
		out = append(out, Slot{Name: name, Config: name, Title: s.Twins[i], Count: 1, Of: s.Name})
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
		out := []Slot{two("face", "Panel", &topAndBelow), one("band", "Band")}
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
	"band-hood": fixed(two("face", "Panel", &frontAndBehind), one("band", "Band")),
	"skirt-hood": func(p plan.Plan) []Slot {
		if c := p.Cover.Corners; c.Kind == plan.RoundCorners && c.Radius+c.Plate > 0 {
			return []Slot{one("top", "Top"), one("wall", "Wall, in a ring")}
		}
		sides := two("wall.side", "Wall, sides", &sideWalls)
		sides.Config = sidesConfig(p)
		return []Slot{one("top", "Top"), two("wall", "Wall, front and back", &walls), sides}
	},
	plan.Jacket: func(p plan.Plan) []Slot {
		out := []Slot{one("outside", "Outer piece"), one("inside", "Inner piece")}
		if p.Cover.Flaps.Style == plan.TurnedIn {
			return out
		}
		flap := two("flap", "Flap", &flaps)
		if d := p.Cover.Flaps.Depth; d.Front == d.Back || plan.Apart(p, "flap") {
			return append(out, flap)
		}
		front, back := one("flap", flaps[0]), one("flap.back", flaps[1])
		front.Twins, back.Config = &flaps, "flap"
		return append(out, front, back)
	},
	plan.Pad: fixed(one("top", "Top"), one("under", "Underside")),
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

func two(name, title string, twins *[2]string) Slot {
	return Slot{Name: name, Config: name, Title: title, Count: 2, Twins: twins}
}

// The first of two is the one in front, on top or on the left.
var (
	topAndBelow    = [2]string{"Top panel", "Bottom panel"}
	frontAndBehind = [2]string{"Front panel", "Back panel"}
	halves         = [2]string{"Front half", "Back half"}
	leftAndRight   = [2]string{"Left end", "Right end"}
	walls          = [2]string{"Front wall", "Back wall"}
	sideWalls      = [2]string{"Left wall", "Right wall"}
	flaps          = [2]string{"Front flap", "Back flap"}
)
