package front

import (
	"fmt"
	"math"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/outline"
	"umschlag/core/ref"
	"umschlag/core/sum"
)

// Windows is what a face of folded windows takes beside its cuts.
type Windows struct {
	Unit, Template, Side length.Length
	// Whole windows lie between two units, half ones at the rim; at the points units meet.
	Whole, Half, Points int
	// Columns and Rows of units.
	Columns, Rows int
	Buttons       bool
	// Eats is the ground cloth against the front it makes.
	Eats float64
}

// Rim is how many of its points lie at its edge.
func (w Windows) Rim() int { return 2 * (w.Columns + w.Rows) }

// Inner is how many points get their buttons while it is flat: those at the edge of a whole front lie in the closing
// seam, those of a part of a stack do not.
func (w Windows) Inner(in ref.Key) int {
	if in != "" {
		return w.Points
	}
	return w.Points - w.Rim()
}

// windows is ground squares whose corners are folded to the middle twice and which are
// joined edge to edge; over every join lies a patch, the folded edges rolled over it.
//
// Finished unit u: ground square 2u and two hems, template 2u; r rows of c give
// r(c − 1) + c(r − 1) whole windows, 2(r + c) half ones, two of which come from a square,
// and (r + 1)(c + 1) points; a window is u/√2, its patch less a reveal on each side, down
// to the ruler. Source: geometry (docs/arithmetic.md §6.7); hem and reveal are common
// practice.
func windows(o Order) (Face, finding.List) {
	found := o.unitFits()
	if found.Stopped() {
		return Face{}, found
	}
	w := &windower{Order: o, unit: o.unit(), c: o.Face.Columns, r: o.Face.Rows}
	side := w.unit.Float() / math.Sqrt2
	patch := (length.FromFloat(side) - 2*w.reveal()).Floor(o.Step)
	if patch < o.Step {
		found.Add(finding.Stop, "windows-small", o.Path+"/unit",
			fmt.Sprintf("In units of %s the windows leave no room for a patch.", o.Style.Text(w.unit)),
			"Take larger units.")
		return Face{}, found
	}
	w.lay(length.FromFloat(side), patch)
	f := w.face
	f.Windows = &Windows{Unit: w.unit, Template: 2 * w.unit, Side: length.FromFloat(side), Whole: w.whole, Half: w.half,
		Points: (w.r + 1) * (w.c + 1), Columns: w.c, Rows: w.r, Buttons: o.Face.Buttons,
		Eats: math.Pow((2*w.unit+2*w.hem()).Float()/w.unit.Float(), 2)}
	return f, found
}

// unit is the unit decided, or the one that fits the width.
func (o Order) unit() length.Length {
	if o.Face.Unit == 0 {
		return o.Trimmed.Width.Total().Div(o.Face.Columns)
	}
	return o.Face.Unit
}

// unitFits finds units that do not make the panel. They make it with its seams; a panel
// as large as the front finishes gives a front that is smaller by the seams.
func (o Order) unitFits() finding.List {
	var found finding.List
	text, u := o.Style.Text, o.unit()
	w, h := u.Times(o.Face.Columns), u.Times(o.Face.Rows)
	near := func(a, b length.Length) bool { return (a - b).Abs() < length.Hair }
	switch {
	case o.Top.Width.Total() != o.Trimmed.Width.Total():
		found.Add(finding.Stop, "windows-quilted", o.Path+"/kind",
			"Folded windows are thick enough: they take no batting, no lining, no quilting and no margin to square up.",
			"Remove the layers, the quilting and the margin from the piece.")
	case near(w, o.Trimmed.Width.Total()) && near(h, o.Trimmed.Height.Total()):
	case near(w, o.Finished.Width.Total()) && near(h, o.Finished.Height.Total()):
		found.Add(finding.Warn, "windows-smaller", o.Path+"/unit",
			fmt.Sprintf("The panel is %s × %s; with its seams sewn the front finishes %s × %s.", text(w), text(h),
				text(w-2*o.edge(false)), text(h-2*o.edge(false))),
			"Let the cover be that much smaller, or ease it larger and the units with it.")
	default:
		found.Add(finding.Stop, "windows-do-not-fill", o.Path+"/unit",
			fmt.Sprintf("%d × %d units of %s make a panel of %s × %s; the front takes %s × %s with its seams.",
				o.Face.Columns, o.Face.Rows, text(u), text(w), text(h), text(o.Trimmed.Width.Total()),
				text(o.Trimmed.Height.Total())),
			fmt.Sprintf("Units of %s fit the width, of %s the height; both have to be the same.",
				text(o.Trimmed.Width.Total().Div(o.Face.Columns)), text(o.Trimmed.Height.Total().Div(o.Face.Rows))))
	}
	return found
}

// windower lays the units and their windows.
type windower struct {
	Order
	face        Face
	unit        length.Length
	c, r        int
	whole, half int
}

func (w *windower) hem() length.Length { return w.either(length.Inch/2, length.Centimetre) }

func (w *windower) reveal() length.Length {
	return w.either(5*length.Inch/16, 8*length.Millimetre)
}

func (w *windower) either(inches, metric length.Length) length.Length {
	if w.Step.OnInches() {
		return inches
	}
	return metric
}

func (w *windower) lay(side, patch length.Length) {
	f := &w.face
	square := sum.Repeat(2, sum.Part, "unit, finished", w.unit).Between(sum.Hem, "turned in", w.hem())
	ground := f.part(Part{Ref: w.ref(ref.Ground), Paints: "/ground", Name: "ground", Title: "Ground squares",
		Role: Ground, Cloth: w.Face.Ground, Size: sum.Size{Width: square, Height: square}}, w.c*w.r)
	show := sum.Of(sum.Part, "window", side).Plus(sum.Overlap, "left free of the fold, both sides", -2*w.reveal()).
		Plus(sum.Step, "down to the ruler step", patch-side+2*w.reveal())
	size := sum.Size{Width: show, Height: show}
	u := w.unit.Float()
	x0, y0 := -w.edge(w.Held.Left).Float(), -w.edge(w.Held.Top).Float()
	for r := range w.r {
		for c := range w.c {
			at := outline.Outline{{X: float64(c) * u, Y: float64(r) * u}, {X: float64(c+1) * u, Y: float64(r) * u},
				{X: float64(c+1) * u, Y: float64(r+1) * u}, {X: float64(c) * u, Y: float64(r+1) * u}}
			cell := polygon(Cell{Part: ground, Row: r + 1, Column: c + 1, Band: r + 1}, moved(x0, y0), at)
			cell.Line = nil
			f.cell(cell)
		}
		f.Bands = append(f.Bands, Band{Number: r + 1, Of: "units", Pieces: w.c, Length: w.unit.Times(w.c), Group: 1})
	}
	whole := w.r*(w.c-1) + w.c*(w.r-1)
	if whole > 0 {
		f.part(Part{Ref: w.ref(ref.Window), Paints: "/show", Name: "window", Title: "Window patches", Role: Window,
			Cloth: w.Face.Show, Size: size}, whole)
	}
	half := 2 * (w.r + w.c)
	f.part(Part{Ref: w.ref(ref.HalfWindow), Paints: "/show", Name: "half-window", Title: "Half-window patches",
		Role: Window, Cloth: w.Face.Show, Size: size, Shape: "half-square", Gives: 2, Patches: half,
		Finished: "half a window at the rim"}, (half+1)/2)
	w.show(x0, y0, (side-patch).Float()/2)
	w.whole, w.half = whole, half
	f.Columns, f.Rows = w.c, w.r
	f.Sewn = sum.Size{Width: w.side(w.c, w.Trimmed.Width), Height: w.side(w.r, w.Trimmed.Height)}
	into := func(s sum.Sum, first, last bool) sum.Sum {
		return sum.Of(sum.Seam, "goes into the seam", -w.edge(first)).Then(s).
			Plus(sum.Seam, "goes into the seam", -w.edge(last))
	}
	f.Finished = sum.Size{Width: into(f.Sewn.Width, w.Held.Left, w.Held.Right),
		Height: into(f.Sewn.Height, w.Held.Top, w.Held.Bottom)}
	f.Grids = []Grid{{Columns: w.c, Rows: w.r, Sewn: f.Sewn, Patches: w.c * w.r}}
}

// side is so many units side by side; what rounding a fitted unit to whole nanometres
// leaves over goes to the first.
func (w *windower) side(n int, trimmed sum.Sum) sum.Sum {
	s := sum.Repeat(n, sum.Part, "unit", w.unit)
	if off := trimmed.Total() - s.Total(); off.Abs() < length.Hair {
		return s.Taking(0, off)
	}
	return s
}

// show draws the patches over every join of two units, and half ones at the rim.
func (w *windower) show(x0, y0, free float64) {
	u := w.unit.Float()
	put := func(part ref.Role, points ...float64) {
		var line outline.Outline
		for i := 0; i < len(points); i += 2 {
			line = append(line, outline.Vertex{X: points[i] * u, Y: points[i+1] * u})
		}
		for i, p := range w.face.Parts {
			if p.Ref.Role == part {
				w.face.cell(polygon(Cell{Part: i, Over: true}, moved(x0, y0), line.Offset(-free)))
			}
		}
	}
	c, r := float64(w.c), float64(w.r)
	for y := 0.5; y < r; y++ {
		for x := 1.0; x < c; x++ { // over upright joins
			put(ref.Window, x, y-0.5, x+0.5, y, x, y+0.5, x-0.5, y)
		}
		put(ref.HalfWindow, 0, y-0.5, 0.5, y, 0, y+0.5)
		put(ref.HalfWindow, c, y-0.5, c, y+0.5, c-0.5, y)
	}
	for x := 0.5; x < c; x++ {
		for y := 1.0; y < r; y++ { // over level joins
			put(ref.Window, x, y-0.5, x+0.5, y, x, y+0.5, x-0.5, y)
		}
		put(ref.HalfWindow, x-0.5, 0, x+0.5, 0, x, 0.5)
		put(ref.HalfWindow, x-0.5, r, x, r-0.5, x+0.5, r)
	}
}

// moved brings a point by a distance.
func moved(x, y float64) func(outline.Vertex) outline.Vertex {
	return func(v outline.Vertex) outline.Vertex { return outline.Vertex{X: v.X + x, Y: v.Y + y} }
}
