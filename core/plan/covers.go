package plan

import (
	"slices"

	"umschlag/core/kind"
	"umschlag/core/length"
)

// CoverRules is what the plan has to know of a kind of cover.
type CoverRules struct {
	// Pieces are the names under which what it is made of is decided.
	Pieces []string
	// Twice are the pieces that are made twice, and can be told apart.
	Twice []Twins
	// Reads are the keys of /cover that count for it, beside those that count for every cover.
	Reads []string
	// Close completes how it is closed; nil where nothing is decided of that.
	Close func(*Back, Plan)
	// ByBack tells that it has a front, and a back of its own that closes it.
	ByBack bool
	// Topstitched tells that it is stitched round when it is turned.
	Topstitched bool
	// Thick tells that what it covers is measured through as well.
	Thick bool
	// Enclosed tells that it is turned, so that its seams lie between its layers.
	Enclosed bool
	// Filled tells that what goes in is shut in, so that it has a closure to be looked at.
	Filled bool
	// Large ones are not wondered at.
	Large bool
}

// CoverKinds are the kinds of covers, the usual one first. Their pieces stand in core/cover, how one is made in
// core/work, how it folds in core/fold.
var CoverKinds kind.Set[CoverRules]

func init() {
	ofHoods := []string{"bottom", "split_top", "band_length"}
	CoverKinds.Add("cushion", CoverRules{Pieces: []string{"front", "back"}, Reads: []string{"flange"}, Filled: true,
		ByBack: true,
		Close: func(b *Back, p Plan) {
			if b.Kind == "" {
				b.Kind = Envelope
			}
			*b = b.closure(p)
		}})
	CoverKinds.Add("boxed-cushion",
		CoverRules{Pieces: []string{"face", "band"}, Twice: []Twins{{Name: "face"}}, Filled: true, Large: true,
			Thick: true,
			Close: func(b *Back, p Plan) {
				if b.Kind == "" {
					b.Kind = SewnShut
				}
				if b.Gap == 0 { // the gap in a band is as long as the cushion's back
					b.Gap = max(p.Object.Width, p.Object.Height)
				}
				if b.Seam == 0 {
					b.Seam = p.Cover.Seam
				}
			}})
	CoverKinds.Add("wrap-hood", CoverRules{Pieces: []string{"main", "end"},
		Twice: []Twins{{Name: "main"}, {Name: "end"}}, Reads: ofHoods})
	CoverKinds.Add("band-hood",
		CoverRules{Pieces: []string{"face", "band"}, Twice: []Twins{{Name: "face"}}, Reads: ofHoods})
	CoverKinds.Add("skirt-hood", CoverRules{Pieces: []string{"top", "wall"},
		Twice: []Twins{{Name: "wall"}, {Name: "wall.side", Among: "wall"}}, Reads: ofHoods})
	CoverKinds.Add("jacket", CoverRules{Pieces: []string{"outside", "inside", "flap"}, Twice: []Twins{{Name: "flap"}},
		Reads:    []string{"flaps"},
		Enclosed: true, Large: true, Topstitched: true, Close: func(b *Back, p Plan) {
			flaps := p.Cover.Flaps.Depth
			b.turnedThrough(p, max(p.Object.Wrap, 2*p.Object.Board+p.Object.Spine)-flaps.Front-flaps.Back)
		}})
	CoverKinds.Add("pad", CoverRules{Pieces: []string{"top", "under"}, Enclosed: true, Large: true,
		Close: func(b *Back, p Plan) {
			b.turnedThrough(p, max(p.Object.Width, p.Object.Height)/2)
		}})
}

// TurningGap is the usual gap that a cover is turned through, in a unit. Common practice: a hand goes through.
func TurningGap(unit length.Unit) length.Length { return usualIn(unit).gap }

// turnedThrough closes a cover that is turned through a gap by sewing that shut: the usual gap, or what there
// is room for.
func (b *Back) turnedThrough(p Plan, room length.Length) {
	if b.Kind == "" {
		b.Kind = SewnShut
	}
	if b.Gap == 0 && p.Habits.Step > 0 {
		b.Gap = min(usualIn(p.Units).gap, max(0, room).Floor(p.Habits.Step))
	}
}

// Values are the words for kinds of covers.
func (CoverKind) Values() []string { return CoverKinds.Names() }

// Rules are those of the kind of the cover; none of a kind that nobody knows.
func (c Cover) Rules() CoverRules {
	rules, _ := CoverKinds.Of(string(c.Kind))
	return rules
}

// PieceNames lists the pieces of a cover kind.
func PieceNames(kind CoverKind) []string { return slices.Clone(Cover{Kind: kind}.Rules().Pieces) }
