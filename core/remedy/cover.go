package remedy

import (
	"cmp"
	"fmt"
	"maps"
	"slices"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/ref"
)

// known are the changes that are tried, by the codes of stops.
var known map[string]func(*sifter)

func init() {
	known = map[string]func(*sifter){
		"front-does-not-fill": fill, "front-too-large": fill, "no-rest": fill, "borders-too-wide": fill,
		"patch-too-large":     fill,
		"stack-does-not-fill": stacked, "stack-empty": stacked, "strips-do-not-fill": striped,
		"windows-do-not-fill": windowed, "windows-small": windowed, "windows-quilted": windowed,
		"centre-too-large": func(s *sifter) {
			s.change("What was measured there is left out, to be measured again", func(p *plan.Plan) {
				p.Measured = slices.DeleteFunc(p.Measured, func(m plan.Measured) bool {
					return m.Gate == ref.FrontPieced.String() || m.Gate == ref.FrontCentre.String()
				})
			})
		},
		"seam-too-wide": func(s *sifter) {
			s.largest("A piecing seam of %s, the widest there is room for", s.plan.Settle().Cover.PiecingSeam,
				func(p *plan.Plan, l length.Length) { p.Cover.PiecingSeam = l })
		},
		"strips-direction": func(s *sifter) {
			s.face("Strips across", func(f *plan.Face) { f.Direction = plan.AcrossWay })
			s.face("Strips up and down", func(f *plan.Face) { f.Direction = plan.AlongWay })
		},
		"face-part": facePart, "face-kind": plainFace, "block-cells": blocks, "block-unknown": blocks,
		"point-square": blocks, "point-sash": blocks, "segment-too-long": blocks, "too-many-patches": fewer,
		"borders-after-mitred": func(s *sifter) {
			s.face("Butted corners", func(f *plan.Face) {
				for i := range f.Borders {
					f.Borders[i].Corner = plan.Butted
				}
			})
			bordersFirst(s)
		},
		"border-pieced-mitred": func(s *sifter) {
			s.face("Butted corners", func(f *plan.Face) {
				for i := range f.Borders {
					if f.Borders[i].Pieced != nil {
						f.Borders[i].Corner = plan.Butted
					}
				}
			})
		},
		"gather-ratio": gathers, "gather-sample": gathers, "sample-unknown": sampled, "sample-open": sampled,
		"sample-kind": sampled,
		"shape-from":  shapes, "shape-off": shapes, "shape-size": shapes, "shape-unknown": shapes, "shape-many": shapes,
		"limit": shapes,
		"gap":   gap, "zip-gap": gap, "zip-short": closures, "zip-flange": closures, "back-kind": closures,
		"overlap-too-large": overlap, "overlap-negative": overlap, "overlap-gap": overlap,
		"tape-wide": func(s *sifter) {
			s.back("Tape that fits its band",
				func(b *plan.Back) { b.Tape = 0 })
			closures(s)
		},
		"button-wide": func(s *sifter) {
			s.back("Buttons that fit their band", func(b *plan.Back) { b.Button, b.Band = 0, 0 })
			closures(s)
		},
		"back-face": plainFace, "face-edge": edges, "panel-short": plainFace,
		"cover-too-small": small, "corners": corners, "radius": corners, "taper": corners, "flange": flange,
		"binding":    func(s *sifter) { s.change("No binding", func(p *plan.Plan) { p.Edges.Binding = nil }) },
		"cover-kind": kinds, "object-kind": kinds, "flaps-deep": flaps, "flaps-meet": flaps,
		"fitting": fitted, "fitting-overlap": fitted, "fitting-on": fitted, "fitting-off": fitted,
		"fitting-corner": fitted, "handle-short": fitted, "pen-slots": fitted, "pair-tape": fitted,
		"pair-length":  fitted,
		"out-of-range": ranged, "piece-too-wide": wide, "strips": edges, "too-many-pieces": copies,
	}
}

// back changes the closure.
func (s *sifter) back(text string, do func(*plan.Back)) bool {
	return s.change(text, func(p *plan.Plan) { do(&p.Back) })
}

// largest finds the largest size up to a limit that removes the stop, on the ruler, and offers it.
func (s *sifter) largest(say string, most length.Length, set func(*plan.Plan, length.Length)) {
	step := max(s.plan.Settle().Habits.Step, 1)
	low, high := length.Length(0), most/step // low may not do, high is what was asked for
	for high-low > 1 && s.tries > 0 {
		middle := (low + high) / 2
		if s.does(s.with(func(p *plan.Plan) { set(p, middle*step) })) {
			low = middle
		} else {
			high = middle
		}
	}
	if low > 0 {
		s.change(fmt.Sprintf(say, s.plan.Style().Text(low*step)), func(p *plan.Plan) { set(p, low*step) })
	}
}

// gap offers an opening that fits where it lies.
func gap(s *sifter) {
	set := func(p *plan.Plan, l length.Length) { p.Back.Gap = l }
	s.back("The usual gap", func(b *plan.Back) { b.Gap = 0 })
	o := s.plan.Object
	s.largest("A gap of %s, the longest there is room for",
		max(o.Width, o.Height, o.Length, o.Depth, o.Wrap, s.plan.Back.Gap), set)
	closures(s)
}

// closures offers the other closures of a cushion.
func closures(s *sifter) {
	if !s.plan.Cover.Rules().ByBack {
		return
	}
	now := s.plan.Settle().Back.Closure()
	for _, c := range plan.Closures(s.plan.Units) {
		if c.Key != now && len(s.offers) < 3 {
			s.change("It closes with "+c.Name, func(p *plan.Plan) { p.Back = p.Closed(c) })
		}
	}
}

func overlap(s *sifter) {
	s.back("A quarter of its width overlaps",
		func(b *plan.Back) { b.Overlap, b.Share, b.Panels = nil, 0, plan.Panels{} })
	s.largest("An overlap of %s, the most there is room for", max(s.plan.Object.Width, length.Inch),
		func(p *plan.Plan, l length.Length) {
			p.Back.Overlap, p.Back.Share, p.Back.Panels = &l, 0, plan.Panels{}
		})
	closures(s)
}

// small offers a cover that is not smaller than nothing.
func small(s *sifter) {
	s.change("As large as what it covers and its ease make it", func(p *plan.Plan) { p.Cover.Size = plan.Sizes{} })
	s.change("No ease", func(p *plan.Plan) { p.Cover.Ease = plan.Axes{} })
	s.change("No ease, and no flange", func(p *plan.Plan) { p.Cover.Ease, p.Cover.Flange = plan.Axes{}, 0 })
}

func corners(s *sifter) {
	c := s.plan.Settle().Cover.Corners
	switch {
	case c.Kind == plan.TaperedCorners:
		s.largest("Drawn in by %s, the most there is room for", max(c.Taper, length.Inch),
			func(p *plan.Plan, l length.Length) { p.Cover.Corners.Taper = l })
	case c.Plate > 0:
		s.largest("A plate of %s, the largest there is room for", c.Plate,
			func(p *plan.Plan, l length.Length) { p.Cover.Corners.Plate = l })
	case c.Radius > 0:
		s.largest("A radius of %s, the largest there is room for", c.Radius,
			func(p *plan.Plan, l length.Length) { p.Cover.Corners.Radius = l })
	}
	s.change("Square corners", func(p *plan.Plan) { p.Cover.Corners = plan.Corners{Kind: plan.SquareCorners} })
}

func flange(s *sifter) {
	s.change("No flange", func(p *plan.Plan) { p.Cover.Flange = 0 })
	s.largest("A flange of %s, the widest there is room for", s.plan.Cover.Flange,
		func(p *plan.Plan, l length.Length) { p.Cover.Flange = l })
}

// kinds offers the covers that suit what is covered.
func kinds(s *sifter) {
	for _, t := range plan.Things() {
		if t.Object == s.plan.Object.Kind && t.Cover != s.plan.Cover.Kind {
			s.change("A cover of the kind "+string(t.Cover), func(p *plan.Plan) { p.Cover.Kind = t.Cover })
		}
	}
}

func flaps(s *sifter) {
	o := s.plan.Object
	if o.Kind != plan.Book {
		return
	}
	s.largest("Flaps of %s, the deepest there is room for",
		max(s.plan.Cover.Flaps.Depth.Front, s.plan.Cover.Flaps.Depth.Back, o.Board, o.Wrap/2),
		func(p *plan.Plan, l length.Length) {
			p.Cover.Flaps.Depth = plan.Pair{Front: l, Back: l}
		})
}

// whichFitting is the number of the fitting that the finding is about; −1 for none.
func whichFitting(s *sifter) int {
	for i := range s.plan.Fittings {
		if finding.Within(s.about.About, finding.Path("fittings", i)) {
			return i
		}
	}
	return -1
}

// changeFitting changes the fitting that the finding is about.
func changeFitting(s *sifter, text string, do func(*plan.Fitting)) {
	if i := whichFitting(s); i >= 0 {
		s.change(text, func(p *plan.Plan) { do(&p.Fittings[i]) })
	}
}

// withoutFitting leaves it out.
func withoutFitting(s *sifter) {
	if i := whichFitting(s); i >= 0 {
		s.change("Without it", func(p *plan.Plan) { p.Fittings = slices.Delete(p.Fittings, i, i+1) })
	}
}

// fitted offers another place or size for a fitting.
func fitted(s *sifter) {
	i := whichFitting(s)
	if i < 0 {
		return
	}
	f := s.plan.Fittings[i]
	changeFitting(s, "In the middle", func(f *plan.Fitting) { f.At = plan.At{Middle: true} })
	changeFitting(s, "One of it", func(f *plan.Fitting) { f.Count = 1 })
	changeFitting(s, "Without pen slots", func(f *plan.Fitting) { f.Slots = 0 })
	for _, name := range plan.PieceNames(s.plan.Cover.Kind) {
		if name != f.On {
			changeFitting(s, "On the "+name, func(f *plan.Fitting) { f.On, f.At = name, plan.At{Middle: true} })
		}
	}
	for _, size := range []struct {
		say string
		now length.Length
		set func(*plan.Fitting, length.Length)
	}{
		{"%s wide, the most there is room for", f.Width, func(f *plan.Fitting, l length.Length) { f.Width = l }},
		{"%s high, the most there is room for", f.Height, func(f *plan.Fitting, l length.Length) { f.Height = l }},
		{"%s long, the most there is room for", f.Length, func(f *plan.Fitting, l length.Length) { f.Length = l }},
		{"%s of tape, the most there is room for", f.Tape, func(f *plan.Fitting, l length.Length) { f.Tape = l }},
		{"Ends %s apart, as far as it reaches", f.Spread, func(f *plan.Fitting, l length.Length) { f.Spread = l }},
		{"A short one of %s, the longest there can be", f.Short, func(f *plan.Fitting, l length.Length) { f.Short = l }},
	} {
		if size.now > 0 && len(s.offers) < 4 {
			s.largest(size.say, size.now, func(p *plan.Plan, l length.Length) { size.set(&p.Fittings[i], l) })
		}
	}
	withoutFitting(s)
}

// edges offers edges that go with what the piece is made of.
func edges(s *sifter) {
	s.change("A bound bottom edge", func(p *plan.Plan) { p.Cover.Bottom = plan.Bottom{Finish: "bound"} })
	s.change("A hem no deeper than the seam", func(p *plan.Plan) { p.Cover.Bottom.Width = p.Settle().Cover.Seam })
	s.change("Strips on the straight grain", func(p *plan.Plan) {
		if p.Edges.Piping != nil {
			piping := *p.Edges.Piping
			piping.Grain = plan.StraightGrain
			p.Edges.Piping = &piping
		}
		if p.Edges.Binding != nil {
			binding := *p.Edges.Binding
			binding.Grain = plan.StraightGrain
			p.Edges.Binding = &binding
		}
	})
	s.change("Piping and binding bought ready made", func(p *plan.Plan) {
		if p.Edges.Piping != nil {
			piping := *p.Edges.Piping
			piping.Bought = true
			p.Edges.Piping = &piping
		}
		if p.Edges.Binding != nil {
			binding := *p.Edges.Binding
			binding.Style = plan.BoughtBinding
			p.Edges.Binding = &binding
		}
	})
	if placeOf(s.plan, s.about.About) != (place{}) {
		plainFace(s)
	}
}

// ranged offers what is usual for what is out of its range, where no end of the range is nearest.
func ranged(s *sifter) {
	switch s.about.About {
	case "/object/make/fold":
		s.change("The insert made of two pieces", func(p *plan.Plan) {
			form := *p.Object.Make
			form.Fold = false
			p.Object.Make = &form
		})
	case "/cover/band_length":
		s.change("The band still to be cut", func(p *plan.Plan) { p.Cover.BandLength = nil })
	case "/cover/bottom/width":
		s.change("A bound bottom edge", func(p *plan.Plan) { p.Cover.Bottom = plan.Bottom{Finish: "bound"} })
		s.change("A hem of the usual width", func(p *plan.Plan) { p.Cover.Bottom.Width = plan.StartsIn(p.Units).Hem })
	case "/back/flap", "/back/tab", "/back/band":
		s.back("The usual size", func(b *plan.Back) { b.Flap, b.Tab, b.Band = 0, 0, 0 })
		closures(s)
	}
	flaps(s)
	fitted(s)
}

// wide offers other cloths of the plan that are wide enough.
func wide(s *sifter) {
	s.layers()
	if placeOf(s.plan, s.about.About) == (place{}) {
		return
	}
	now := s.now()
	if c := s.plan.Cloths[now.Cloth]; c.Upright {
		s.change("Its pieces turned where that helps", func(p *plan.Plan) {
			c.Upright = false
			p.Cloths[now.Cloth] = c
		})
	}
	for _, letter := range slices.Sorted(maps.Keys(s.plan.Cloths)) {
		if letter != now.Cloth && now.Kind == plan.PlainFace {
			s.face("Of "+cmp.Or(s.plan.Cloths[letter].Name, "fabric "+letter), func(f *plan.Face) { f.Cloth = letter })
		}
	}
	w, h, _, ok := s.room()
	if ok && now.Kind == plan.PlainFace {
		s.face("Of two strips side by side", func(f *plan.Face) {
			*f = plan.Face{Kind: plan.StripsFace, Direction: plan.AlongWay,
				Strips:   halves(w, now.Cloth),
				Applique: f.Applique}
		})
		s.face("Of two strips, one above the other", func(f *plan.Face) {
			*f = plan.Face{Kind: plan.StripsFace, Direction: plan.AcrossWay,
				Strips:   halves(h, now.Cloth),
				Applique: f.Applique}
		})
	}
}

// layers offers other cloths for what lies under a piece.
func (s *sifter) layers() {
	for _, name := range slices.Sorted(maps.Keys(s.plan.Pieces)) {
		q := s.plan.Pieces[name]
		if q.Layers == nil || !finding.Within(s.about.About, "/pieces/"+name+"/layers") {
			continue
		}
		change := func(text string, do func(*plan.Layers)) {
			s.change(text, func(p *plan.Plan) {
				q, layers := p.Pieces[name], *q.Layers
				do(&layers)
				q.Layers = &layers
				p.Pieces[name] = q
			})
		}
		for _, letter := range slices.Sorted(maps.Keys(s.plan.Cloths)) {
			name := cmp.Or(s.plan.Cloths[letter].Name, "fabric "+letter)
			switch s.plan.Cloths[letter].Kind {
			case plan.BattingKind:
				change("Batting of "+name, func(l *plan.Layers) {
					if l.Batting != nil {
						batting := *l.Batting
						batting.Cloth = letter
						l.Batting = &batting
					}
				})
			default:
				change("Lined with "+name, func(l *plan.Layers) {
					if l.Lining != "" {
						l.Lining = letter
					}
				})
			}
		}
		change("Batting butted together from offcuts", func(l *plan.Layers) {
			if l.Batting != nil {
				batting := *l.Batting
				batting.Offcuts = true
				l.Batting = &batting
			}
		})
		change("Without a stiffener", func(l *plan.Layers) { l.Stiffener = "" })
		change("Without a web", func(l *plan.Layers) { l.Web = false })
		change("Without a grid", func(l *plan.Layers) { l.Grid = false })
		change("Without a lining", func(l *plan.Layers) { l.Lining = "" })
		change("Without a batting", func(l *plan.Layers) { l.Batting = nil })
	}
}

// copies offers as many covers as can be laid out at once.
func copies(s *sifter) {
	fewerCopies(s)
	fewer(s)
}

// fewerCopies offers as many covers at once as there can be.
func fewerCopies(s *sifter) {
	low, high := 0, s.plan.Copies
	for high-low > 1 && s.tries > 0 {
		middle := (low + high) / 2
		if s.does(s.with(func(p *plan.Plan) { p.Copies = middle })) {
			low = middle
		} else {
			high = middle
		}
	}
	if low > 0 {
		text := fmt.Sprintf("%d covers at once", low)
		if low == 1 {
			text = "One cover at once"
		}
		s.change(text, func(p *plan.Plan) { p.Copies = low })
	}
}

// fewer offers fewer patches.
func fewer(s *sifter) {
	if placeOf(s.plan, s.about.About) == (place{}) {
		return
	}
	s.face("Half as many patches each way, solved", func(f *plan.Face) {
		f.Columns, f.Rows, f.Patch = max(1, f.Columns/2), max(1, f.Rows/2), plan.Patch{Fit: true}
	})
	s.face("Plain patches, without the block", func(f *plan.Face) { f.Block = plan.Block{} })
}

// sampled offers the usual figure where a sample has none.
func sampled(s *sifter) {
	s.change("Quilting takes what is usual", func(p *plan.Plan) {
		for name, q := range p.Pieces {
			if q.TakeUp != nil {
				q.TakeUp = &plan.TakeUp{From: plan.Estimate}
				p.Pieces[name] = q
			}
		}
	})
	if placeOf(s.plan, s.about.About) != (place{}) {
		gathers(s)
	}
}

// halves are two strips of a cloth that fill a side.
func halves(side length.Length, cloth string) []plan.Strip {
	return []plan.Strip{{Width: plan.Extent{Width: side / 2}, Cloth: cloth},
		{Width: plan.Extent{Width: side - side/2}, Cloth: cloth}}
}
