// Package panel makes one piece of a cover from what is decided of it: its face, what lies under it,
// what quilting takes, how it is pressed and quilted, and what is laid on it.
package panel

import (
	"fmt"
	"math"
	"strings"

	"umschlag/core/applique"
	"umschlag/core/cover"
	"umschlag/core/finding"
	"umschlag/core/front"
	"umschlag/core/layers"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/press"
	"umschlag/core/quilt"
	"umschlag/core/ref"
	"umschlag/core/sample"
	"umschlag/core/sum"
)

// Panel is one piece as it is made.
type Panel struct {
	// Piece of the cover, what is decided of it, and the path where that stands in the plan.
	Piece   cover.Piece
	Decided plan.Piece
	Path    string
	Face    front.Face
	Chain   layers.Chain
	// Body is the piece with the edges its face is made with, and Across and Up what the top has
	// beyond it on each side.
	Body       cover.Piece
	Across, Up length.Length
	// Ways are its colourways as they would lie.
	Ways []Way
	// Pressed is where the allowances of the face lie, Pattern its quilting as it is sewn, and Applied
	// the shapes laid on it.
	Pressed press.Plan
	Pattern quilt.Pattern
	Applied []applique.Layer
	// Borders is the quilting of borders that are quilted by themselves.
	Borders quilt.Pattern
}

// Way is a face in other cloths.
type Way struct {
	Key  ref.Key
	Name string
	Face front.Face
}

// Order is what a piece is made for: a settled plan, and the samples of the workshop.
type Order struct {
	Plan    plan.Plan
	Samples sample.Shelf
}

// Of makes a piece of the cover. Where it cannot be made the findings have a stop, and the panel is empty.
func (o Order) Of(piece cover.Piece) (Panel, finding.List) {
	p := o.Plan
	q := p.Piece(piece.Config)
	path := Path(p, piece.Config)
	decided, body := o.Face(q), piece
	var found finding.List
	if decided.Kind != plan.PlainFace {
		body, found = o.pieced(piece, path)
	}
	trimmed := body.Trimmed(piece.Finished)
	under := layers.Order{Path: path, Piece: q, Trimmed: trimmed, Seam: p.Cover.PiecingSeam, Step: p.Habits.Step,
		Samples: o.Samples}
	order := front.Order{Face: decided, Path: path + "/face", Finished: piece.Finished, Trimmed: trimmed,
		Seam: p.Cover.PiecingSeam, Rim: p.Cover.Seam - p.Cover.PiecingSeam, Left: body.Edges.Left.Width,
		Above:  body.Edges.Top.Width,
		Absorb: q.Absorb, Step: p.Habits.Step, Style: p.Style(), Usable: o.usable,
		Triangles: p.Habits.Triangles, Strips: p.Habits.Strips, Motifs: plan.RoundMotifs(p, decided),
		Made: front.MadeOf(p), Copies: p.Copies}
	if len(order.Motifs) > 0 { // both sides of a seam are cut alike
		order.Triangles = plan.ExactTriangles
	}
	face, chain, said := o.faced(piece.Name, &order, under)
	found = append(found, said...)
	if found.Stopped() {
		return Panel{}, found
	}
	// The face knows how its parts make up the size; from here on they are its sum.
	trimmed = body.Trimmed(face.Finished)
	if Differs(face.Finished, piece.Finished) {
		chain = chain.SewnAs(trimmed, face.Sewn, q.Layers, p.Habits.Step)
	} else {
		under.Trimmed, under.Inside = trimmed, within(face)
		chain, _ = layers.Of(under)
	}
	var letters []string
	for _, part := range face.Parts {
		letters = append(letters, part.Cloth)
	}
	beyond := layers.Beyond(p, letters...)
	chain.Thick += beyond
	if l := q.Layers; layers.QuiltedAlready(p, letters...) && l != nil && l.Batting != nil && l.Batting.Count > 0 {
		found.Add(finding.Note, "quilted-twice", path+"/layers/batting",
			fmt.Sprintf("The %s is cut from fabric that is quilted already; with batting under it the layers are %s thick.",
				strings.ToLower(piece.Title), p.Style().Text(chain.Thick)), "Leave the batting out, unless it is to be that thick.")
	}
	out := Panel{Piece: piece, Decided: q, Path: path, Face: face, Chain: chain, Body: body,
		Across: (chain.Top.Width.Total() - trimmed.Width.Total()) / 2,
		Up:     (chain.Top.Height.Total() - trimmed.Height.Total()) / 2}
	out.Chain.Trimmed = piece.Trimmed(face.Finished)
	out.Ways = o.ways(order)
	var followed bool
	if out.Applied, followed = applique.Lay(face.Applied); !followed {
		found.Add(finding.Stop, "shape-many", path+"/face/applique", "The outlines of the shapes cross each other and "+
			"themselves in more places than can be followed.", "Draw them simpler, so that no outline crosses itself, or "+
			"leave some of them out.")
		return Panel{}, found
	}
	lines := quilt.Order{Quilting: q.Quilting, Width: face.Finished.Width.Total(),
		Height: face.Finished.Height.Total(),
		Left:   body.Edges.Left.Width + out.Across, Above: body.Edges.Top.Width + out.Up,
		Wide: chain.Top.Width.Total(), High: chain.Top.Height.Total(), Face: face,
		Apart: chain.Apart != nil}
	if chain.BordersAfter() {
		lines.Seam = p.Cover.PiecingSeam
	}
	out.Pattern, out.Borders = quilt.Of(lines), quilt.Borders(lines)
	if found = append(found, o.sewnAfter(out)...); found.Stopped() {
		return Panel{}, found
	}
	found = append(found, o.unquilted(out)...)
	found = append(found, o.slanted(out)...)
	found = append(found, o.nearSeams(out)...)
	found = append(found, o.bulky(out)...)
	school, at := press.Schools(p.Habits)
	out.Pressed = press.Of(press.Order{Face: face, School: school, At: at, Quilted: q.Quilted(), Tone: o.tone})
	return out, found
}

// mostRounds is how often a face is made anew for what quilting takes inside its borders: each round leaves a few
// hundredths of what the one before was off by.
const mostRounds = 12

// faced is a face and its chain. Where borders are quilted by themselves what quilting takes hangs on how wide they
// are, and how wide those finish that are given as they are cut on what quilting takes.
func (o Order) faced(piece string, order *front.Order, under layers.Order) (front.Face, layers.Chain, finding.List) {
	apart := under.Piece.Quilting != nil && under.Piece.Quilting.Borders != nil
	if apart { // how wide they are without it
		bare := under
		bare.Piece.TakeUp = &plan.TakeUp{From: plan.Given}
		chain, _ := layers.Of(bare)
		face, _ := front.Build(o.over(*order, piece, chain))
		under.Inside = within(face)
	}
	for round := 1; ; round++ {
		chain, found := layers.Of(under)
		*order = o.over(*order, piece, chain)
		face, said := front.Build(*order)
		if !apart || round == mostRounds || within(face) == under.Inside || said.Stopped() {
			return face, chain, append(found, said...)
		}
		under.Inside = within(face)
	}
}

// within is what finishes inside the borders of a face; nothing where it has none.
func within(f front.Face) [2]length.Length {
	if f.Border == [2]length.Length{} {
		return f.Border
	}
	return [2]length.Length{f.Finished.Width.Total() - 2*f.Border[0], f.Finished.Height.Total() - 2*f.Border[1]}
}

// over is the order of a face that lies over a stack.
func (o Order) over(order front.Order, piece string, c layers.Chain) front.Order {
	order.Top, order.TakeAcross, order.TakeUp, order.Margin = c.Top, c.TakeUp.Across, c.TakeUp.Along, c.Margin
	order.After, order.Centre = c.BordersAfter(), o.centre(piece, c.BordersAfter())
	return order
}

// Differs reports sizes that are not alike.
func Differs(a, b sum.Size) bool {
	return a.Width.Total() != b.Width.Total() || a.Height.Total() != b.Height.Total()
}

// centre is what is inside the borders of a cushion's front as it was measured: sewn, or quilted where they are sewn
// on after that.
func (o Order) centre(piece string, after bool) plan.Sized {
	gate := ref.FrontPieced
	if after {
		gate = ref.FrontCentre
	}
	_, m, ok := o.Plan.MeasuredAt(gate)
	if !ok || piece != "front" {
		return plan.Sized{}
	}
	return plan.Sized{Width: m.Width, Height: m.Height}
}

// ways lays the colourways of a face; one that cannot be laid is left out, and its face
// says why when it is chosen.
func (o Order) ways(order front.Order) []Way {
	var out []Way
	for _, c := range order.Face.Colourways {
		other := order
		other.Face = o.clothed(c.Face)
		face, found := front.Build(other)
		if !found.Stopped() {
			out = append(out, Way{Key: c.Key, Name: c.Name, Face: face})
		}
	}
	return out
}

// pieced is the piece with the edges a face of patches is made with.
func (o Order) pieced(piece cover.Piece, path string) (cover.Piece, finding.List) {
	var found finding.List
	body, ok := piece.Pieced(o.Plan.Cover.Seam)
	if !ok {
		found.Add(finding.Stop, "face-edge", path+"/face/kind",
			fmt.Sprintf("The patches of the %s have a seam of %s all round, less than its hem takes.",
				strings.ToLower(piece.Title),
				o.Plan.Style().Text(o.Plan.Cover.Seam)),
			"Bind the edge, turn a hem no deeper than the seam, or give the piece a plain design.")
	}
	return body, found
}

// usable is how wide a cloth is between its selvedges.
func (o Order) usable(cloth string) length.Length {
	described, _ := o.Plan.Cloth(cloth)
	return *described.Usable
}

// tone is how light the ground of a cloth is, where its picture has one.
func (o Order) tone(letter string) (float64, bool) {
	c, _ := o.Plan.Cloth(letter)
	return c.Swatch.Tone()
}

// slanted finds prints with a direction, and motifs in the middle, on patches that stand on their points.
func (o Order) slanted(p Panel) finding.List {
	var found finding.List
	if p.Decided.Face == nil || p.Decided.Face.Kind != plan.GridFace || p.Decided.Face.Set != plan.OnPoint {
		return nil
	}
	said := map[string]bool{}
	for _, part := range p.Face.Parts {
		c, _ := o.Plan.Cloth(part.Cloth)
		motif := p.Decided.Face.Centred && c.Repeat != nil
		if said[part.Cloth] || part.Role != front.Patch && part.Role != front.BlockPatch ||
			c.Print.TurnsBy() && !motif {
			continue
		}
		said[part.Cloth] = true
		found.Add(finding.Note, "print-slanted", p.Path+"/face/set",
			fmt.Sprintf("Patches that stand on their points are cut with the grain, so that the print of %s stands slanted on them.",
				c.Name), "Set the patches straight where it has to stand upright, or choose a fabric without a direction.")
	}
	return found
}

// nearSeams finds families of lines that run beside a seam.
func (o Order) nearSeams(p Panel) finding.List {
	var found finding.List
	text := o.Plan.Style().Text
	for _, c := range p.Pattern.Near {
		found.Add(finding.Note, "quilting-beside", fmt.Sprintf("%s/quilting/lines/%d", p.Path, c.Family),
			fmt.Sprintf("Lines run %s beside seams, on the ridge of the allowances.", text(c.Off)),
			fmt.Sprintf("Shift them by %s to lie in the seams, or press those seams open.", text(c.Shift.Abs())))
	}
	return found
}

// bulky finds a stack that takes more of the inside of a hood than its ease gives.
func (o Order) bulky(p Panel) finding.List {
	var found finding.List
	object, e, thick := o.Plan.Object.Kind, o.Plan.Cover.Ease, p.Chain.Thick
	ease := min(e.Length, e.Depth)
	if object == plan.Book {
		ease = e.Wrap
	}
	if (object != plan.Box && object != plan.Book) || o.Plan.Cover.Bulk > 0 || 2*thick <= ease ||
		thick <= length.Millimetre {
		return nil // one cloth and its lining are no bulk
	}
	text := o.Plan.Style().Text
	found.Add(finding.Note, "bulk", p.Path+"/layers",
		fmt.Sprintf("The layers are %s thick and take %s from the inside; the ease is %s.", text(thick),
			text(2*thick), text(ease)),
		fmt.Sprintf("Type %s as the bulk of the layers, or give more ease.", text(thick.Ceil(o.Plan.Habits.Step))))
	return found
}

// Conflicts are the points, in nanometres, at which two allowances lie to the same side and do not lock.
func (p Panel) Conflicts() [][2]int64 {
	var out [][2]int64
	seen := map[[2]int64]bool{}
	for _, c := range p.Pressed.Conflicts {
		at := [2]int64{int64(math.Round(c.X)), int64(math.Round(c.Y))}
		if !seen[at] {
			seen[at] = true
			out = append(out, at)
		}
	}
	return out
}

// Unlocked notes where two allowances do not lock.
func (p Panel) Unlocked() finding.List {
	n := len(p.Conflicts())
	if n == 0 {
		return nil
	}
	at := fmt.Sprintf("%d places", n)
	if n == 1 {
		at = "one place"
	}
	var found finding.List
	found.Add(finding.Note, "press-conflict", p.Path+"/face",
		fmt.Sprintf("At %s on the %s two seam allowances lie to the same side where they meet, and do not nest.", at,
			strings.ToLower(p.Piece.Title)),
		"Press one of the two open there; the pressing plan marks the places.")
	return found
}

// Surplus is what the face of the piece has beyond an open edge, to be trimmed off.
func (p Panel) Surplus() length.Length {
	own, body := p.Piece.Edges, p.Body.Edges
	return max(body.Bottom.Width-own.Bottom.Width, body.Top.Width-own.Top.Width)
}
