package applique

import (
	"fmt"
	"strings"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/plan"
	"umschlag/core/shape"
)

// Ground is what shapes lie on.
type Ground struct {
	// Piece names it within a sentence.
	Piece string
	// Width and Height as finished, and Outline, its seam line.
	Width, Height length.Length
	Outline       outline.Outline
	// Shaped tells that its corners are rounded or tapered.
	Shaped bool
	Style  length.Style
	// Fittings that lie over it.
	Fittings []Fitting
}

// Fitting is a rectangle that will lie over the face.
type Fitting struct {
	Title               string
	X, Y, Width, Height length.Length
}

// thick is how many shapes lie on each other before a needle of 80/12 bends. Common
// practice.
const thick = 4

// Judge finds what cannot be sewn as it lies.
func Judge(layers []Layer, g Ground) finding.List {
	var found finding.List
	for _, l := range layers {
		g.off(l, &found)
		g.sewn(l, &found)
		g.covered(l, layers, &found)
		for _, f := range g.Fittings {
			if l.meets(f) {
				found.Add(finding.Warn, "shape-fitting", l.About+"/at",
					fmt.Sprintf("%s lies under the %s.", l.Title, f.Title),
					"Move one of them, unless it is meant to look out from under it.")
			}
		}
	}
	return found
}

// off finds a shape that falls into the seam or off a corner.
func (g Ground) off(l Layer, found *finding.List) {
	out := max(-l.X, -l.Y, l.X+l.Width-g.Width, l.Y+l.Height-g.Height)
	corner := false
	if g.Shaped {
		for _, line := range l.lines {
			for _, p := range line.Points {
				corner = corner || !g.Outline.Contains(p.X, p.Y)
			}
		}
	}
	switch {
	case l.X >= g.Width || l.Y >= g.Height || l.X+l.Width <= 0 || l.Y+l.Height <= 0:
		found.Add(finding.Stop, "shape-off", l.About+"/at",
			fmt.Sprintf("%s lies off the %s altogether.", l.Title, g.Piece), "Type distances that put it on the front.")
	case out > 0:
		found.Add(finding.Warn, "shape-seam", l.About+"/at",
			fmt.Sprintf("%s reaches %s beyond the seam line of the %s and is caught in the seam.", l.Title,
				g.Style.Text(out), g.Piece), "Move it in, or leave it so if it is to run out under the seam.")
	case corner:
		found.Add(finding.Warn, "shape-corner", l.About+"/at",
			fmt.Sprintf("%s lies off the corner of the %s.", l.Title, g.Piece),
			"Move it in from the corner, or make it smaller.")
	}
}

// sewn finds a shape whose edge cannot be sewn.
func (g Ground) sewn(l Layer, found *finding.List) {
	if l.thin != nil {
		found.Add(finding.Warn, "shape-thin", l.About+"/width",
			fmt.Sprintf("%s from the left and %s from the top, what shows of %s is narrower than its stitch needs, %s.",
				g.Style.Text(length.FromFloat(l.thin.X)), g.Style.Text(length.FromFloat(l.thin.Y)), inside(l.Title),
				g.Style.Text(stitches[l.Shape.Edge].needs)),
			"Make it wider there, take a straight or narrower stitch, or sew it as a line.")
	}
	if l.Needle > thick {
		found.Add(finding.Warn, "shape-thick", l.About,
			fmt.Sprintf("Along its edge %s is the top of %d shapes that lie on each other, with the ground under them.",
				inside(l.Title), l.Needle),
			"Cut the lower ones away underneath, a quarter of an inch inside, or take a needle of 100/16 and sew slowly.")
	}
	if l.region != nil && l.region.Crossed(near) {
		found.Add(finding.Warn, "shape-crosses", l.About+"/shape",
			fmt.Sprintf("The outline of %s crosses itself.", inside(l.Title)),
			"Cut it round the outside, or draw it as one line that does not.")
	}
}

// covered finds a shape that lies wrong under others.
func (g Ground) covered(l Layer, layers []Layer, found *finding.List) {
	switch {
	case l.Shows == 0 && l.Lapped:
		found.Add(finding.Warn, "shape-hidden", l.About,
			fmt.Sprintf("Nothing of the edge of %s shows: %s over it.", inside(l.Title), those(l, layers)),
			"Remove it, or move it up in the order.")
	case l.Lapped && l.Lap < Lap && l.long():
		found.Add(finding.Warn, "shape-underlap", l.About,
			fmt.Sprintf("%s reaches only %s under what covers its edge.", l.Title, g.Style.Text(l.Lap)),
			fmt.Sprintf("Let it reach %s under, or it slips out when it is sewn.", g.Style.Text(Lap)))
	}
	if l.Shape.Edge == plan.LooseEdge && l.Held == 0 {
		found.Add(finding.Warn, "shape-loose", l.About+"/edge",
			fmt.Sprintf("%s is laid on loose, and no stitching of a shape on it holds it.", l.Title),
			"Put a sewn shape over it, or fuse it and sew its edge.")
	}
}

// long reports a covered stretch long enough to slip out.
func (l Layer) long() bool {
	for _, s := range l.Edge {
		if !s.Shows && s.Length >= 4*Lap.Float() {
			return true
		}
	}
	return false
}

// those are the names of what lies on a layer.
func those(l Layer, layers []Layer) string {
	var names []string
	for _, k := range l.Over {
		names = append(names, inside(layers[k].Title))
	}
	verb := " lie"
	if len(names) < 2 {
		verb = " lies"
	}
	return strings.Join(names, ", ") + verb
}

// inside is a title within a sentence.
func inside(title string) string { return "“" + title + "”" }

// meets reports whether a layer and a fitting overlap.
func (l Layer) meets(f Fitting) bool {
	x1, y1, x2, y2 := f.X.Float(), f.Y.Float(), (f.X + f.Width).Float(), (f.Y + f.Height).Float()
	box := shape.Line{Closed: true,
		Points: []shape.Point{{X: x1, Y: y1}, {X: x2, Y: y1}, {X: x2, Y: y2}, {X: x1, Y: y2}}}
	r := shape.NewRegion([]shape.Line{box})
	for _, line := range l.lines {
		for k := range line.Sides() {
			a, b := line.Side(k)
			if _, touched := r.Cuts(nil, a, b, 0); touched || r.Holds(a) {
				return true
			}
		}
	}
	return l.region != nil && l.region.Holds(box.Points[0])
}
