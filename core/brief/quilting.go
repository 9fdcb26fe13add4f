package brief

import (
	"slices"
	"strconv"

	"umschlag/core/length"
	"umschlag/core/plan"
)

// patternSays is a quilting pattern as it stands in a sentence.
func patternSays(key string) string {
	if p, known := plan.Patterns.Of(key); known {
		return p.Says
	}
	return "quilted in lines of my own"
}

// quilted changes how the piece is quilted.
func (s stack) quilted(do func(*plan.Quilting)) func(*Moving) {
	return func(m *Moving) {
		var next plan.Quilting
		if old := m.Plan.Piece(s.name).Quilting; old != nil {
			next = *old
		}
		do(&next)
		m.piece(s.name, func(p *plan.Piece) { p.Quilting = &next })
	}
}

func (s stack) quilting() {
	var q plan.Quilting
	if s.piece.Quilting != nil {
		q = *s.piece.Quilting
	}
	now := q.Pattern()
	var options []Option
	for _, key := range plan.Patterns.Names() {
		if rules, _ := plan.Patterns.Of(key); key == now || rules.Follows.On(s.piece.Face) {
			options = append(options, Option{Key: key, Says: patternSays(key)})
		}
	}
	if now == plan.OwnPattern {
		options = append(options, Option{Key: now, Says: patternSays(now)})
	}
	at, also := s.quiltingAt(), []string{}
	if also = append(also, at+"/ditch", at+"/corners"); now != plan.OwnPattern {
		for i := range q.Lines {
			also = append(also, at+path("lines", i, "angle"))
		}
	}
	s.Choose(Choice{ID: path("pieces", s.name, "quilting"), Label: s.of("Quilting"), Now: now, Options: options,
		Also: also}, func(m *Moving, key string) {
		s.quilted(func(q *plan.Quilting) { *q = q.As(key, plan.StartsIn(m.Plan.Units).Apart) })(m)
	})
	if len(q.Lines) > 0 {
		s.lines(at, q)
	}
	s.distances(at, q)
	if q.Any() {
		if now != "ditch" && plan.FollowsSeams.On(s.piece.Face) || q.Ditch && now != "ditch" {
			s.ditch(at, q)
		}
		s.inBorders(at, q)
		s.guided()
	}
}

// distances tells of what is not quilted in lines how far apart it is, and from what.
func (s stack) distances(at string, q plan.Quilting) {
	own := q.Pattern() == plan.OwnPattern
	for _, d := range []struct {
		now                      length.Length
		key, before, label, says string
	}{
		{q.Echo, "echo", " ", "Distance between rounds", " apart"},
		{q.Beside, "beside", " ", "Distance from the seams", " from them"},
		{q.Around, "around", " ", "Distance from the shapes", " outside them"},
		{q.Free, "free", ", ", "Distance of free-motion lines", " from line to line"},
	} {
		if d.now == 0 {
			continue
		}
		if own {
			d.before = map[string]string{"echo": ", in rounds ", "beside": ", beside the seams ",
				"around": ", around the shapes ", "free": ", in free motion "}[d.key]
		}
		s.Say(d.before)
		s.Length(at+"/"+d.key, s.of(d.label))
		s.Say(d.says)
	}
	if own && q.Corners {
		s.Say(", and corner to corner through every patch")
	}
}

// inBorders tells how borders are quilted, and when they are sewn on.
func (s stack) inBorders(at string, q plan.Quilting) {
	if f := s.piece.Face; f == nil || len(f.Borders) == 0 {
		return
	}
	apart := plan.StartsIn(s.plan.Units).Apart
	ways := []struct {
		key, says string
		make      *plan.BorderQuilting
	}{
		{"with", "quilted the same", nil},
		{"none", "left unquilted", &plan.BorderQuilting{}},
		{"ditch", "quilted in their ditch", &plan.BorderQuilting{Ditch: true}},
		{"along", "quilted along them", &plan.BorderQuilting{Along: apart}},
		{"across", "quilted across them", &plan.BorderQuilting{Across: apart}},
		{"free", "quilted in free motion", &plan.BorderQuilting{Free: apart}},
	}
	now, made := borderPattern(q.Borders), map[string]*plan.BorderQuilting{}
	var options []Option
	for _, w := range ways {
		options, made[w.key] = append(options, Option{Key: w.key, Says: w.says}), w.make
	}
	if _, named := made[now]; !named {
		options = append(options, Option{Key: now, Says: "quilted in a way of my own"})
	}
	s.Say(", the borders ")
	s.Choose(Choice{ID: path("pieces", s.name, "quilting/borders"), Label: s.of("Quilting of the borders"), Now: now,
		Options: options, Also: []string{at + "/borders", at + "/borders/ditch"}}, func(m *Moving, key string) {
		s.quilted(func(q *plan.Quilting) {
			was := q.Borders
			if q.Borders = nil; made[key] != nil {
				next := *made[key]
				next.After = was != nil && was.After
				q.Borders = &next
			}
		})(m)
	})
	if q.Borders == nil {
		return
	}
	for _, d := range []struct {
		now        length.Length
		key, label string
	}{{q.Borders.Along, "along", "Distance of lines along the borders"},
		{q.Borders.Across, "across", "Distance of lines across the borders"},
		{q.Borders.Free, "free", "Distance of free-motion lines in the borders"}} {
		if d.now > 0 {
			s.Say(" ")
			s.Length(at+"/borders/"+d.key, s.of(d.label))
			s.Say(" apart")
		}
	}
	if q.Inside() || q.Borders.After {
		s.Say(", sewn on ")
		s.Either(at+"/borders/after", s.of("When the borders are sewn on"), q.Borders.After,
			"before it is quilted", "when the rest is quilted, through all layers", func(m *Moving, yes bool) {
				s.quilted(func(q *plan.Quilting) {
					next := *q.Borders
					next.After = yes
					q.Borders = &next
				})(m)
			})
	}
}

// borderPattern is the word of how borders are quilted; own for what has several.
func borderPattern(b *plan.BorderQuilting) string {
	if b == nil {
		return "with"
	}
	plain := *b
	plain.After = false
	switch {
	case !plain.Any():
		return "none"
	case plain == plan.BorderQuilting{Ditch: true}:
		return "ditch"
	case plain == plan.BorderQuilting{Along: b.Along}:
		return "along"
	case plain == plan.BorderQuilting{Across: b.Across}:
		return "across"
	case plain == plan.BorderQuilting{Free: b.Free}:
		return "free"
	}
	return plan.OwnPattern
}

// lines tells of straight lines and serpentines: how far apart, in pairs or swinging, and where the middle one lies.
func (s stack) lines(at string, q plan.Quilting) {
	label := s.of("Distance between quilting lines")
	own := q.Pattern() == plan.OwnPattern
	alike := !own && !slices.ContainsFunc(q.Lines, func(l plan.LineFamily) bool { return l.Pitch != q.Lines[0].Pitch })
	s.Say(" ")
	if alike {
		f := Field{Path: at + "/lines/0/pitch", Label: label, Reads: Length}
		for i := range q.Lines[1:] {
			f.Also = append(f.Also, at+path("lines", i+1, "pitch"))
		}
		s.Field(f)
	}
	for i := range q.Lines {
		if alike {
			break
		}
		n := ", set " + strconv.Itoa(i+1)
		s.join(i, len(q.Lines))
		s.Length(at+path("lines", i, "pitch"), label+n)
		if own {
			s.Say(" at ")
			s.Field(Field{Path: at + path("lines", i, "angle"), Label: s.of("Angle of the quilting lines") + n,
				Reads: Count})
			s.Say("°")
		}
	}
	s.Say(" apart")
	if q.Lines[0].Wave > 0 {
		s.Say(", swinging out ")
		s.Length(at+"/lines/0/wave", s.of("Swing of the serpentines"))
	} else {
		s.Say(", in pairs ")
		s.Length(at+"/pair", s.of("Distance in a pair"))
		s.Say(" apart")
	}
	for i := range q.Lines {
		label := s.of("Shift of the lines")
		if len(q.Lines) > 1 {
			if q.Lines[i].Shift == 0 && !own {
				continue
			}
			label += ", set " + strconv.Itoa(i+1)
		}
		s.Say(", shifted by ")
		s.Length(at+path("lines", i, "shift"), label)
	}
}

// ditch tells whether the seams are quilted as well.
func (s stack) ditch(at string, q plan.Quilting) {
	s.Say(", ")
	s.Either(at+"/ditch", s.of("Ditch"), q.Ditch, "not in the seams", "and in the ditch of the seams",
		func(m *Moving, yes bool) { s.quilted(func(q *plan.Quilting) { q.Ditch = yes })(m) })
}
