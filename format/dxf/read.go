package dxf

import (
	"bufio"
	"bytes"
	"errors"
	"io"
	"math"
	"strconv"
	"strings"

	"umschlag/core/shape"
	"umschlag/format/drawing"
)

// The bounds of a file that is read.
const (
	MostBytes    = 5 << 20
	MostPairs    = 400_000
	MostOutlines = 400
	mostDepth    = 8
	mostPoints   = 50_000
)

const asRelease12 = "Save it as an ASCII DXF of release 12 and try again."

// pair is a group code with its value, and the line it stands on.
type pair struct {
	code  int
	value string
	line  int
}

// millimetres of a unit, by $INSUNITS: inches, feet, millimetres, centimetres, metres. Source:
// the DXF reference, from memory. A file that does not say is in millimetres.
var millimetres = map[string]float64{"1": 25.4, "2": 304.8, "4": 1, "5": 10, "6": 1000}

// Read finds the outlines of a file: polylines, lines, circles and arcs, in blocks too. What
// cannot become an outline is named. It fails with a drawing.Refusal.
func Read(data []byte) (drawing.Found, error) {
	r, err := opened(data)
	if err != nil {
		return drawing.Found{}, err
	}
	if err := r.place(r.entities, shape.Scale(r.scale, -r.scale), 0); err != nil {
		return drawing.Found{}, err
	}
	if len(r.out) == 0 {
		return drawing.Found{}, drawing.Refuse("Draw it with polylines, lines, circles or arcs.",
			"There is no outline in the file%s.", r.omitted.Because())
	}
	return drawing.Found{Outlines: r.out, Omitted: r.omitted.List()}, nil
}

// opened takes a file apart into its blocks and entities.
func opened(data []byte) (*reader, error) {
	if len(data) > MostBytes {
		return nil, drawing.Refuse("Remove what is not needed.", "The file has %d kB; up to %d are read.",
			len(data)>>10, MostBytes>>10)
	}
	if bytes.HasPrefix(data, []byte("AutoCAD Binary DXF")) {
		return nil, drawing.Refuse(asRelease12, "The file is a binary DXF.")
	}
	pairs, err := scan(data)
	if err != nil {
		return nil, err
	}
	r := &reader{omitted: drawing.Omitted{}, blocks: map[string][]entity{}, scale: 1}
	return r, r.sections(pairs)
}

// scan takes the file apart into group codes and values.
func scan(data []byte) ([]pair, error) {
	in := bufio.NewScanner(bytes.NewReader(data))
	in.Buffer(make([]byte, 4096), 1<<16)
	var out []pair
	line := 0
	for in.Scan() {
		line++
		text := strings.TrimSpace(in.Text())
		code, err := strconv.Atoi(text)
		if err != nil {
			return nil, drawing.Refuse(asRelease12, "Line %d of the file should be a group code and is %q.", line,
				text[:min(len(text), 20)])
		}
		if !in.Scan() {
			return nil, drawing.Refuse(asRelease12,
				"The file ends in the middle: group code %d on line %d has no value.", code, line)
		}
		line++
		out = append(out, pair{code, strings.TrimSpace(in.Text()), line})
		if len(out) > MostPairs {
			return nil, drawing.Refuse("Remove what is not needed.", "The file has more than %d values.", MostPairs)
		}
	}
	if err := in.Err(); err != nil {
		if errors.Is(err, io.ErrUnexpectedEOF) || errors.Is(err, bufio.ErrTooLong) {
			return nil, drawing.Refuse(asRelease12, "Line %d of the file is too long to be one.", line+1)
		}
		return nil, drawing.Refuse(asRelease12, "The file cannot be read: %s.", err)
	}
	if n := len(out); n == 0 || out[n-1].code != 0 || out[n-1].value != "EOF" {
		return nil, drawing.Refuse(asRelease12, "The file is no DXF, or its end is missing.")
	}
	return out, nil
}

// entity is one thing drawn: its kind and its values.
type entity struct {
	kind  string
	pairs []pair
	// within are the vertices of a polyline.
	within []entity
}

// text is the first value of a group code.
func (e entity) text(code int) string {
	for _, p := range e.pairs {
		if p.code == code {
			return p.value
		}
	}
	return ""
}

// number is the first value of a group code as a number, or what it is where it is absent.
func (e entity) number(code int, otherwise float64) (float64, error) {
	for _, p := range e.pairs {
		if p.code == code {
			return p.number()
		}
	}
	return otherwise, nil
}

func (p pair) number() (float64, error) {
	f, err := strconv.ParseFloat(p.value, 64)
	if err != nil || math.IsNaN(f) || math.Abs(f) > 1e7 {
		return 0, drawing.Refuse(asRelease12, "Line %d of the file should be a number and is %q.", p.line,
			p.value[:min(len(p.value), 20)])
	}
	return f, nil
}

type reader struct {
	entities []entity
	blocks   map[string][]entity
	omitted  drawing.Omitted
	out      []drawing.Outline
	points   int
	inserts  int
	scale    float64
}

// sections sorts the pairs into the header, the blocks and the entities.
func (r *reader) sections(pairs []pair) error {
	section, block, name := "", "", ""
	for i := 0; i < len(pairs); {
		p := pairs[i]
		if p.code == 9 {
			name = p.value
			i++
			continue
		}
		if name == "$INSUNITS" && p.code == 70 {
			if f, known := millimetres[p.value]; known {
				r.scale = f
			}
			name = ""
		}
		if p.code != 0 {
			i++
			continue
		}
		e := entity{kind: p.value}
		for i++; i < len(pairs) && pairs[i].code != 0 && pairs[i].code != 9; i++ {
			e.pairs = append(e.pairs, pairs[i])
		}
		switch {
		case e.kind == "SECTION":
			section = e.text(2)
		case e.kind == "ENDSEC":
			section = ""
		case section == "BLOCKS" && e.kind == "BLOCK":
			block = e.text(2)
		case section == "BLOCKS" && e.kind == "ENDBLK":
			block = ""
		case section == "BLOCKS" && block != "":
			r.blocks[block] = gathered(r.blocks[block], e)
		case section == "ENTITIES":
			r.entities = gathered(r.entities, e)
		}
	}
	return nil
}

// gathered adds an entity to a list, a vertex to the polyline before it.
func gathered(list []entity, e entity) []entity {
	switch {
	case e.kind == "SEQEND":
		return list
	case e.kind == "VERTEX" && len(list) > 0 && list[len(list)-1].kind == "POLYLINE":
		list[len(list)-1].within = append(list[len(list)-1].within, e)
		return list
	}
	return append(list, e)
}

// place draws entities under a map.
func (r *reader) place(list []entity, m shape.Matrix, depth int) error {
	if depth > mostDepth {
		return drawing.Refuse("Explode the blocks in the drawing program first.",
			"Blocks lie within each other more than %d deep.", mostDepth)
	}
	for _, e := range list {
		if e.kind == "INSERT" {
			if err := r.insert(e, m, depth); err != nil {
				return err
			}
			continue
		}
		run, ok, err := e.run()
		switch {
		case err != nil:
			return err
		case !ok:
			r.omitted[strings.ToLower(e.kind)]++
			continue
		}
		r.points += len(run.Segments)
		if r.points > mostPoints || len(r.out) >= MostOutlines {
			return drawing.Refuse("Remove what is not needed.", "The file has more than %d outlines or %d points.",
				MostOutlines, mostPoints)
		}
		r.out = append(r.out, drawing.Outline{Path: shape.Path{run}.Mapped(m), Line: !run.Closed})
	}
	return nil
}

// insert places a block.
func (r *reader) insert(e entity, m shape.Matrix, depth int) error {
	if r.inserts++; r.inserts > MostOutlines {
		return drawing.Refuse("Explode the blocks in the drawing program first.",
			"The file has more than %d blocks inserted.", MostOutlines)
	}
	var at [5]float64
	for i, g := range []struct {
		code      int
		otherwise float64
	}{{10, 0}, {20, 0}, {41, 1}, {42, 1}, {50, 0}} {
		f, err := e.number(g.code, g.otherwise)
		if err != nil {
			return err
		}
		at[i] = f
	}
	inner := shape.Scale(at[2], at[3]).Then(shape.Turn(at[4])).Then(shape.Move(at[0], at[1]))
	return r.place(r.blocks[e.text(2)], inner.Then(m), depth+1)
}

// run is the outline of an entity; ok is false for what has none.
func (e entity) run() (run shape.Run, ok bool, err error) {
	switch e.kind {
	case "LINE":
		return e.line()
	case "CIRCLE", "ARC":
		return e.round()
	case "POLYLINE":
		var corners []corner
		for _, v := range e.within {
			c, err := v.corner()
			if err != nil {
				return run, false, err
			}
			corners = append(corners, c)
		}
		return polyline(corners, e.closed())
	case "LWPOLYLINE":
		corners, err := e.corners()
		if err != nil {
			return run, false, err
		}
		return polyline(corners, e.closed())
	}
	return run, false, nil
}

func (e entity) closed() bool {
	flags, err := strconv.Atoi(e.text(70))
	return err == nil && flags&1 == 1
}

func (e entity) line() (shape.Run, bool, error) {
	var v [4]float64
	for i, code := range []int{10, 20, 11, 21} {
		f, err := e.number(code, 0)
		if err != nil {
			return shape.Run{}, false, err
		}
		v[i] = f
	}
	return shape.Run{Start: shape.Point{X: v[0], Y: v[1]},
		Segments: []shape.Segment{{To: shape.Point{X: v[2], Y: v[3]}}}}, true, nil
}

// round is a circle, or the arc of one anticlockwise from an angle to another.
func (e entity) round() (shape.Run, bool, error) {
	var v [5]float64
	for i, code := range []int{10, 20, 40, 50, 51} {
		f, err := e.number(code, 0)
		if err != nil {
			return shape.Run{}, false, err
		}
		v[i] = f
	}
	from, sweep := v[3], math.Mod(v[4]-v[3]+720, 360)
	if e.kind == "CIRCLE" || sweep == 0 {
		from, sweep = 0, 360
	}
	at := func(degrees float64) corner {
		sin, cos := math.Sincos(degrees * math.Pi / 180)
		return corner{x: v[0] + v[2]*cos, y: v[1] + v[2]*sin}
	}
	const parts = 4
	corners := make([]corner, 0, parts+1)
	for i := range parts + 1 {
		c := at(from + sweep*float64(i)/parts)
		c.bulge = math.Tan(sweep / parts / 4 * math.Pi / 180)
		corners = append(corners, c)
	}
	if sweep == 360 {
		return polyline(corners[:parts], true)
	}
	return polyline(corners, false)
}

// corner of a polyline with the bulge of the side that leaves it.
type corner struct{ x, y, bulge float64 }

func (e entity) corner() (c corner, err error) {
	for code, to := range map[int]*float64{10: &c.x, 20: &c.y, 42: &c.bulge} {
		f, err := e.number(code, 0)
		if err != nil {
			return c, err
		}
		*to = f
	}
	return c, nil
}

// corners of a light polyline stand one after the other in its values.
func (e entity) corners() ([]corner, error) {
	var out []corner
	for _, p := range e.pairs {
		if p.code != 10 && p.code != 20 && p.code != 42 {
			continue
		}
		f, err := p.number()
		if err != nil {
			return nil, err
		}
		switch {
		case p.code == 10:
			out = append(out, corner{x: f})
		case len(out) == 0:
		case p.code == 20:
			out[len(out)-1].y = f
		default:
			out[len(out)-1].bulge = f
		}
	}
	return out, nil
}

func polyline(corners []corner, closed bool) (shape.Run, bool, error) {
	if len(corners) < 2 {
		return shape.Run{}, false, nil
	}
	point := func(c corner) shape.Point { return shape.Point{X: c.x, Y: c.y} }
	run := shape.Run{Start: point(corners[0]), Closed: closed}
	for i := 1; i < len(corners); i++ {
		run.Segments = append(run.Segments, drawing.Side(point(corners[i-1]), point(corners[i]), corners[i-1].bulge)...)
	}
	if last := corners[len(corners)-1]; closed {
		run.Segments = append(run.Segments, drawing.Side(point(last), point(corners[0]), last.bulge)...)
	}
	return run, true, nil
}
