package planfile

import (
	"fmt"
	"maps"
	"slices"
	"strconv"
	"strings"

	"umschlag/core/answer"

	"umschlag/core/cover"
	"umschlag/core/fitting"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// Names reads the names that umschlag/plan/1 gave to cuts, steps and gates: words joined by
// dots, which told a part by its place. They are read from the left, and what is left at the end
// is the letter of a cloth, whatever that is.
type Names struct {
	p plan.Plan
	// seats of the joins in their order, and the steps of a stack, told by reckoning it once.
	seats   [][2]ref.Seat
	stacked *answer.Reckoning
}

// NamesOf reads the names of a plan as it stood when it was written. Its parts have keys.
func NamesOf(p plan.Plan) *Names {
	p = p.Settle()
	n := &Names{p: p}
	if c, found := cover.Pieces(p); !found.Stopped() {
		for _, j := range c.Joins {
			n.seats = append(n.seats, j.Seats())
		}
	}
	return n
}

// NamesOfOne reads the names of a document of umschlag/plan/1; the error tells that it is none.
func NamesOfOne(data []byte) (*Names, error) {
	root, err := parse(data)
	if err != nil {
		return nil, err
	}
	if file, ok := root.(*object); !ok || file.values["format"] != formatOne {
		return nil, Problems{{Path: "/format", Text: "this is no " + formatOne}}
	}
	p, err := Read(data)
	if err != nil {
		return nil, err
	}
	return NamesOf(p), nil
}

// pieces of every kind of cover, longer names before those they begin with.
var pieces = []string{"band.zip", "wall.side", "flap.back", "front", "back", "face", "band", "main", "end", "wall",
	"top", "under", "outside", "inside", "flap"}

// Cut is the ref of a cut; ok is false where the name fits nothing of the plan.
func (n *Names) Cut(name string) (id string, ok bool) {
	w := words(name)
	r := ref.Ref{Kind: ref.Cut}
	switch {
	case w.take("fitting"):
		ok = n.fittingCut(&r, &w)
	case w.take("piping"):
		r.Role = ref.Piping
		ok = w.one("strip", "bias")
	case w.take("binding"):
		r.Role = ref.Binding
		ok = w.one("strip", "bias")
	case w.take("form"):
		r.Role = map[string]ref.Role{"panel": ref.FormPanel, "tab": ref.FormTab}[string(w)]
		ok = r.Role != ""
	case n.closing(&r, &w):
		ok = true
	default:
		ok = n.pieceCut(&r, &w)
	}
	return r.String(), ok
}

func (n *Names) fittingCut(r *ref.Ref, w *words) bool {
	key, ok := n.fitting(w)
	r.Of, r.Role = key, ref.FittingPart
	no, numbered := w.number()
	r.No = no
	for _, layer := range []string{"batting", "lining"} {
		if w.take(layer) {
			r.Layer = layer
		}
	}
	return ok && numbered && w.end()
}

func (n *Names) fitting(w *words) (ref.Key, bool) {
	no, ok := w.number()
	if !ok || no > len(n.p.Fittings) {
		return "", false
	}
	return n.p.Fittings[no-1].Key, true
}

// closing reads the pieces of a back that closes, and what lies under them.
func (n *Names) closing(r *ref.Ref, w *words) bool {
	rest := *w
	if !rest.take("back") {
		return false
	}
	roles := map[string]ref.Role{"panel": ref.ClosurePanel, "left": ref.ClosureLeft, "right": ref.ClosureRight,
		"lining": ref.ClosureLining, "tie": ref.ClosureTie, "tab": ref.ClosureTab}
	for word, role := range roles {
		after := rest
		if !after.take(word) {
			continue
		}
		r.Piece, r.Role = "back", role
		if after.end() {
			return true
		}
		if word == "left" || word == "right" {
			r.Edge = word
		}
		r.Role = layers[string(after)]
		return r.Role != ""
	}
	return false
}

// layers lie under a piece.
var layers = map[string]ref.Role{"batting": ref.Batting, "lining": ref.Lining, "stiffener": ref.Stiffener,
	"web": ref.Web, "grid": ref.Grid}

// piece takes the name of a piece.
func (w *words) piece() (string, bool) {
	for _, p := range pieces {
		if w.take(p) {
			return p, true
		}
	}
	return "", false
}

// face is the face of a piece, or of a part of its stack, with the key of the part.
func (n *Names) face(piece string, w *words) (face plan.Face, in ref.Key, ok bool) {
	q := n.p.Piece(config(piece))
	if q.Face == nil {
		return face, in, false
	}
	face = *q.Face
	for w.take("part") {
		no, numbered := w.number()
		if !numbered || no > len(face.Parts) {
			return face, in, false
		}
		in, face = face.Parts[no-1].Key, face.Parts[no-1].Face
	}
	return face, in, true
}

// config is the name under which the plan decides what a piece is made of.
func config(piece string) string {
	before, _, _ := strings.Cut(piece, ".")
	return before
}

// pieceCut reads what is cut for a piece.
func (n *Names) pieceCut(r *ref.Ref, w *words) bool {
	piece, ok := w.piece()
	if !ok {
		return false
	}
	r.Piece = piece
	if role := layers[string(*w)]; role != "" {
		r.Role = role
		return true
	}
	if piece == "face" { // its path was read from its own name on
		w.take("face")
	}
	if w.has("applique") || w.has("parts") {
		return n.shapeCut(r, w)
	}
	face, in, ok := n.face(piece, w)
	r.Of = in
	switch {
	case !ok:
		return false
	case w.take("border"):
		return borderCut(r, w, face)
	case w.take("patch"):
		r.Role = ref.Patch
	case w.take("set"):
		return n.setCut(r, w)
	case w.take("strip"):
		no, numbered := w.number()
		if !numbered || no > len(face.Strips) {
			return false
		}
		r.Of, r.Role = face.Strips[no-1].Key, ref.Strip
		return w.end()
	case w.take("block"):
		return n.blockCut(r, w)
	case w.take("side"):
		r.Role = ref.SettingSide
		r.No, _ = w.number()
	case w.take("corner"):
		r.Role = ref.SettingCorner
		r.No, _ = w.number()
	default:
		return faceCut(r, w)
	}
	r.Cloth = string(*w)
	return r.Cloth != ""
}

// faceCut reads what a face has once.
func faceCut(r *ref.Ref, w *words) bool {
	for _, role := range []ref.Role{ref.ShortSash, ref.LongSash, ref.Post, ref.HalfWindow, ref.Window, ref.Ground,
		ref.Backing, ref.Pocket, ref.Gathered, ref.Panel} {
		if !w.take(string(role)) {
			continue
		}
		r.Role = role
		r.No, _ = w.number()
		return w.end()
	}
	return false
}

func (n *Names) blockCut(r *ref.Ref, w *words) bool {
	no, ok := w.number()
	r.Role, r.No = ref.BlockPatch, no
	letter := string(*w)
	if _, whole := n.p.Cloths[letter]; !whole {
		if before, eight := strings.CutSuffix(letter, ".eight"); eight {
			r.Role, letter = ref.BlockEights, before
		}
	}
	r.Cloth = letter
	return ok && letter != ""
}

// setCut reads a strip of a set: of a cloth, with its number behind it within a block.
func (n *Names) setCut(r *ref.Ref, w *words) bool {
	r.Role, r.Cloth = ref.SetStrip, string(*w)
	if _, whole := n.p.Cloths[r.Cloth]; whole {
		return true
	}
	if at := strings.LastIndex(r.Cloth, "."); at > 0 {
		number := words(r.Cloth[at+1:])
		if no, ok := number.number(); ok {
			r.Cloth, r.No = r.Cloth[:at], no
		}
	}
	return r.Cloth != ""
}

// borderCut reads the strips, patches and corners of a border.
func borderCut(r *ref.Ref, w *words, face plan.Face) bool {
	no, ok := w.number()
	if !ok || no > len(face.Borders) {
		return false
	}
	r.Of = face.Borders[no-1].Key
	if w.take("corner") {
		r.Role = ref.BorderCorner
		r.No, _ = w.number()
		return w.end()
	}
	for _, side := range []string{"side", "left", "right", "run", "top", "bottom"} {
		if !w.take(side) {
			continue
		}
		r.Role = ref.BorderFirst
		if side == "run" || side == "top" || side == "bottom" {
			r.Role = ref.BorderSecond
		}
		if side != "side" && side != "run" {
			r.Edge = side
		}
		r.Cloth = string(*w)
		return true
	}
	return false
}

// shapeCut reads a shape, by its path in the face, from 0.
func (n *Names) shapeCut(r *ref.Ref, w *words) bool {
	q := n.p.Piece(config(r.Piece))
	if q.Face == nil {
		return false
	}
	face := *q.Face
	for w.take("parts") {
		i, ok := w.index()
		if !ok || i >= len(face.Parts) || !w.take("face") {
			return false
		}
		face = face.Parts[i].Face
	}
	if !w.take("applique") {
		return false
	}
	i, ok := w.index()
	if !ok || i >= len(face.Applique) {
		return false
	}
	r.Of, r.Role = face.Applique[i].Key, ref.Shape
	r.Twin = w.take("twin")
	if w.take("web") {
		r.Role = ref.WebOfShape
	}
	return w.end()
}

// Gate is the ref of a gate.
func (n *Names) Gate(name string) (id string, ok bool) {
	w := words(name)
	switch name {
	case "front.trimmed", "front":
		if n.p.Piece("front").Quilted() {
			return ref.FrontQuilted.String(), true
		}
		return ref.FrontSewn.String(), true
	}
	for _, g := range []struct {
		name string
		gate ref.Ref
	}{{"front.quilted", ref.FrontQuilted}, {"front.sewn", ref.FrontSewn}, {"front.pieced", ref.FrontPieced},
		{"front.untrimmed", ref.FrontUntrimmed},
		{"cover.finished", ref.CoverFinished}, {"back.overlap", ref.BackOverlap}, {"pad.filled", ref.PadFilled}} {
		if g.name == name {
			return g.gate.String(), true
		}
	}
	switch {
	case w.take("join"):
		seats, ok := n.join(&w)
		return ref.Seam(seats).String(), ok && w.end()
	case w.take("front") && w.take("row"):
		no, numbered := w.number()
		r := ref.Row("", no)
		ok = numbered && w.end() && n.row("front", &r, no)
		return ref.Row(r.Of, r.No).String(), ok
	}
	return "", false
}

func (n *Names) join(w *words) (seats [2]ref.Seat, ok bool) {
	no, numbered := w.number()
	if !numbered || no > len(n.seats) {
		return seats, false
	}
	return n.seats[no-1], true
}

// row says which part of a stack has a row of the whole face, and its number there.
func (n *Names) row(piece string, r *ref.Ref, no int) bool {
	if q := n.p.Piece(config(piece)); q.Face == nil || q.Face.Kind != plan.StackFace {
		r.No = no
		return q.Face != nil
	}
	for _, s := range n.reckoned().Steps {
		if s.About.Role == ref.DoRow && s.Piece == piece && s.Row == no {
			r.Of, r.No = s.About.Of, s.About.No
			return true
		}
	}
	return false
}

// nth says which part of a stack has a unit or a set of the whole face, and its number there.
func (n *Names) nth(piece string, r *ref.Ref, no int) bool {
	q := n.p.Piece(config(piece))
	if q.Face == nil || q.Face.Kind != plan.StackFace {
		r.No = no
		return q.Face != nil
	}
	last := map[ref.Key]int{}
	for _, s := range n.reckoned().Steps {
		if s.About.Role == r.Role && s.Piece == piece {
			last[s.About.Of] = max(last[s.About.Of], s.About.No)
		}
	}
	order := stackOrder(*q.Face)
	parts := slices.SortedFunc(maps.Keys(last), func(a, b ref.Key) int { return order[a] - order[b] })
	for _, of := range parts {
		if no <= last[of] {
			r.Of, r.No = of, no
			return true
		}
		no -= last[of]
	}
	return false
}

// stackOrder numbers the parts of a stack from the top, those within others too.
func stackOrder(f plan.Face) map[ref.Key]int {
	out := map[ref.Key]int{}
	var walk func(plan.Face)
	walk = func(f plan.Face) {
		for _, p := range f.Parts {
			out[p.Key] = len(out)
			walk(p.Face)
		}
	}
	walk(f)
	return out
}

// reckoned is the plan reckoned, with nothing done.
func (n *Names) reckoned() answer.Reckoning {
	if n.stacked == nil {
		p := n.p
		p.Progress, p.Measured = plan.Progress{}, nil
		r := reckon.Reckon(p, nil)
		n.stacked = &r
	}
	return *n.stacked
}

// Step is the ref of a step; of a part of a divided one, whose name ends in its number, with the
// key that the part has.
func (n *Names) Step(name string, part func(step string, no int) (ref.Key, bool)) (id string, ok bool) {
	whole, number, divided := strings.Cut(name, ":")
	r, ok := n.step(whole)
	if !ok || !divided {
		return r.String(), ok
	}
	no, err := strconv.Atoi(number)
	if err != nil {
		return "", false
	}
	key, ok := part(whole, no)
	return r.InPart(key).String(), ok
}

// within are the steps that were a part of one, and are steps of their own now: making what is sewn on, and the
// buttons at the rim of folded windows.
func (n *Names) within(name node) []string {
	text, _ := name.(string)
	r, ok := n.step(text)
	switch {
	case !ok:
	case r.Role == ref.DoFitting:
		for _, f := range n.p.Fittings {
			if k, known := fitting.Kinds.Of(string(f.Kind)); known && f.Key == r.Of && k.Making != nil {
				return []string{ref.Ref{Kind: ref.Step, Of: r.Of, Role: ref.DoMakeFitting}.String()}
			}
		}
	case r.Role == ref.DoPoints && r.Of == "":
		return []string{ref.Ref{Kind: ref.Step, Piece: r.Piece, Role: ref.DoRimPoints}.String()}
	}
	return nil
}

// onFront are the steps that a cushion has at its front, onBack those at its back, and once
// those that a cover has once.
var (
	onFront = map[string]ref.Role{"cut.front": ref.DoCutOuter, "cut.under": ref.DoCutUnder, "layers": ref.DoLayers,
		"quilt": ref.DoQuilt, "trim": ref.DoTrim, "gate.front": ref.DoMeasureFront}
	onBack = map[string]ref.Role{"cut.back": ref.DoCutBack, "hem": ref.DoHem, "fold": ref.DoFold, "lining": ref.DoLine,
		"tape": ref.DoTape, "buttons": ref.DoButtons, "ties": ref.DoTies, "flap": ref.DoFlap, "tab": ref.DoTab,
		"zip": ref.DoZip}
	once = map[string]ref.Role{"measure": ref.DoMeasure, "cut.outer": ref.DoCutOuter, "close": ref.DoClose,
		"finish": ref.DoFinish, "clip": ref.DoClip, "turn": ref.DoTurn, "ditch": ref.DoFlange,
		"gate.cover": ref.DoMeasureCover,
		"inspect":    ref.DoInspect, "form": ref.DoForm, "piping.make": ref.DoMakePiping,
		"piping.baste": ref.DoBastePiping, "binding.make": ref.DoMakeBinding, "bottom": ref.DoBottom, "try": ref.DoTry}
	onPiece = map[string]ref.Role{"layers": ref.DoLayers, "quilt": ref.DoQuilt, "trim": ref.DoTrim,
		"open": ref.DoOpenEdge, "strips": ref.DoEndToEnd, "round": ref.DoCorners}
)

func (n *Names) step(name string) (ref.Ref, bool) {
	r := ref.Ref{Kind: ref.Step}
	cushion := n.p.Cover.Kind == plan.Cushion
	if r.Role = onFront[name]; r.Role != "" && cushion {
		r.Piece = "front"
		return r, true
	}
	if r.Role = onBack[name]; r.Role != "" && cushion {
		r.Piece = "back"
		return r, true
	}
	if r.Role = once[name]; r.Role != "" {
		return r, true
	}
	if name == "cut.under" {
		r.Role = ref.DoCutUnder
		return r, true
	}
	w := words(name)
	switch {
	case w.take("fitting"):
		key, ok := n.fitting(&w)
		r.Role, r.Of = ref.DoFitting, key
		return r, ok && w.end()
	case w.take("join"):
		seats, ok := n.join(&w)
		r.Role, r.Join = ref.DoJoin, seats
		return r, ok && w.end()
	case w.take("finish"):
		seats, ok := n.join(&w)
		r.Role, r.Join = ref.DoFinish, seats
		return r, ok && w.end()
	}
	for word, role := range onPiece {
		after := w
		if !after.take(word) {
			continue
		}
		if piece, ok := after.piece(); ok && after.end() {
			r.Piece, r.Role = piece, role
			return r, true
		}
	}
	piece := "front"
	if !cushion {
		var ok bool
		if piece, ok = w.piece(); !ok {
			return r, false
		}
	}
	r.Piece = piece
	return r, n.faceStep(&r, &w)
}

// faceStep reads what is done to a face.
func (n *Names) faceStep(r *ref.Ref, w *words) bool {
	if w.take("shapes") {
		return shapeStep(r, w)
	}
	face, in, ok := n.face(r.Piece, w)
	if !ok {
		return false
	}
	r.Of = in
	if w.take("border") {
		return borderStep(r, w, face)
	}
	grid := 0
	if w.take("grid") {
		grid, _ = w.number()
	}
	for word, role := range map[string]ref.Role{"row": ref.DoRow, "unit": ref.DoUnit, "set": ref.DoSet} {
		after := *w
		if !after.take(word) {
			continue
		}
		no, numbered := after.number()
		r.Role = role
		if !numbered || !after.end() {
			return false
		}
		if role == ref.DoRow {
			return n.row(r.Piece, r, no)
		}
		return n.nth(r.Piece, r, no)
	}
	for word, role := range map[string]ref.Role{"layout": ref.DoLayOut, "rows": ref.DoRows} {
		if w.take(word) {
			r.Role = role
			return w.end() && n.ofGrid(r, grid)
		}
	}
	for word, role := range map[string]ref.Role{"panel": ref.DoPanel, "backing": ref.DoBacking} {
		if w.take(word) {
			r.Role = role
			no, _ := w.number()
			return w.end() && n.ofFound(r, no)
		}
	}
	r.Role = map[string]ref.Role{"sample": ref.DoSample, "gather": ref.DoGather, "pocket": ref.DoPocket,
		"fold-units": ref.DoFoldUnits, "units": ref.DoJoinUnits, "windows": ref.DoWindows,
		"points": ref.DoPoints, "stack": ref.DoJoinParts}[string(*w)]
	return r.Role != ""
}

// ofGrid says which part of a stack a grid fills, by its number among the grids, or the only one.
func (n *Names) ofGrid(r *ref.Ref, no int) bool {
	return n.ofParts(r, max(1, no), func(f plan.Face) bool {
		return f.Kind == plan.GridFace || f.Kind == plan.CheckerFace || f.Kind == plan.StripsFace ||
			f.Kind == plan.WindowsFace || f.Kind == plan.FoundFace
	})
}

// ofFound says which part of a stack a panel fills that was there.
func (n *Names) ofFound(r *ref.Ref, no int) bool {
	return n.ofParts(r, max(1, no), func(f plan.Face) bool { return f.Kind == plan.FoundFace })
}

func (n *Names) ofParts(r *ref.Ref, no int, is func(plan.Face) bool) bool {
	q := n.p.Piece(config(r.Piece))
	if q.Face == nil || q.Face.Kind != plan.StackFace {
		return q.Face != nil
	}
	at := 0
	var walk func(plan.Face) bool
	walk = func(f plan.Face) bool {
		for _, p := range f.Parts {
			if is(p.Face) {
				if at++; at == no {
					r.Of = p.Key
					return true
				}
			}
			if walk(p.Face) {
				return true
			}
		}
		return false
	}
	return walk(*q.Face)
}

func borderStep(r *ref.Ref, w *words, face plan.Face) bool {
	no, ok := w.number()
	if !ok || no > len(face.Borders) {
		return false
	}
	border := face.Borders[no-1]
	r.Of, r.Role = border.Key, ref.DoBorder
	word := string(*w)
	switch word {
	case "patches":
		r.Role = ref.DoBorderPatches
	case "mitre":
		r.Role = ref.DoMitre
	case "side":
		if border.Pieced == nil {
			r.No = 1
		}
	case "left", "right":
		r.No, r.Edge = 1, word
	case "run":
		r.No = 2
	case "top", "bottom":
		r.No, r.Edge = 2, word
	default:
		return false
	}
	return true
}

func shapeStep(r *ref.Ref, w *words) bool {
	switch {
	case w.take("cut"):
		r.Role = ref.DoCutShapes
		return w.end()
	case w.take("lay"):
		r.Role = ref.DoLayShapes
	case w.take("sew"):
		r.Role = ref.DoSewShapes
	}
	no, ok := w.number()
	r.No, r.Late = no, w.take("late")
	return ok && w.end() && r.Role != ""
}

// words are what is left of a name.
type words string

// take takes a word from the beginning, with the dot behind it.
func (w *words) take(word string) bool {
	rest, ok := strings.CutPrefix(string(*w), word)
	if !ok || rest != "" && rest[0] != '.' {
		return false
	}
	*w = words(strings.TrimPrefix(rest, "."))
	return true
}

func (w *words) has(word string) bool {
	rest := *w
	return rest.take(word)
}

// one takes the last word, one of some.
func (w *words) one(of ...string) bool { return slices.Contains(of, string(*w)) }

func (w *words) end() bool { return *w == "" }

// number takes a number from 1.
func (w *words) number() (int, bool) {
	i, ok := w.index()
	if !ok || i < 1 {
		return 0, false
	}
	return i, true
}

// index takes a number from 0.
func (w *words) index() (int, bool) {
	text, rest, _ := strings.Cut(string(*w), ".")
	i, err := strconv.Atoi(text)
	if err != nil || i < 0 || fmt.Sprint(i) != text {
		return 0, false
	}
	*w = words(rest)
	return i, true
}
