package planfile

import (
	"slices"
	"strconv"

	"umschlag/core/plan"
	"umschlag/core/ref"
)

// formatOne is the format before: parts were told by their places, and what was recorded of the
// work by names made of them. It is read for ever.
const formatOne = "umschlag/plan/1"

// upgrade turns a document of umschlag/plan/1 into one of umschlag/plan/2, in place: its parts
// get keys by their places, and what was recorded goes by refs. A name that fits nothing of the
// plan is kept aside and marks nothing as done.
func upgrade(file *object) error {
	progress, measured := file.take("progress"), file.take("measured")
	froms := map[*object]node{}
	eachShape(file, func(_ []node, shape *object) {
		if from := shape.take("from"); from != nil {
			froms[shape] = from
		}
	})
	file.values["format"] = plan.Format
	oneSeam(file)
	backWaited(file)
	p, err := readTyped(file)
	if err != nil {
		return err
	}
	p = p.Keyed(nil)
	writeKeys(file, p)
	eachShape(file, func(list []node, shape *object) {
		if from, there := froms[shape]; there {
			shape.set("from", keyOfShape(list, from))
		}
	})
	o := old{names: NamesOf(p)}
	if list, ok := measured.([]node); ok {
		for _, m := range list {
			o.measurement(m)
		}
	}
	if measured != nil {
		file.set("measured", measured)
	}
	if record, ok := progress.(*object); ok {
		o.progress(record)
	}
	if progress != nil {
		file.set("progress", progress)
	}
	return nil
}

// OneSeam is a document that says that its fronts are sewn with the seam of its cover, where it names no piecing
// seam: as it was before there was one.
func OneSeam(data []byte) ([]byte, error) {
	file, err := document(data)
	if err != nil {
		return nil, err
	}
	oneSeam(file)
	return print(file), nil
}

// oneSeam says that fronts are sewn with the seam of the cover: there was no other one.
func oneSeam(file *object) {
	cover, ok := file.values["cover"].(*object)
	if !ok || cover.values["piecing_seam"] != nil {
		return
	}
	seam := cover.values["seam"]
	if habits, ok := file.values["habits"].(*object); ok && seam == nil {
		seam = habits.values["seam"]
	}
	if seam != nil {
		cover.set("piecing_seam", seam)
	}
}

// backWaited says that the back of a cushion waits for the measured front: every one did.
func backWaited(file *object) {
	if cover, ok := file.values["cover"].(*object); !ok || cover.values["kind"] != string(plan.Cushion) {
		return
	}
	back, ok := file.values["back"].(*object)
	if !ok {
		back = tree(map[string]any{}).(*object)
		file.set("back", back)
	}
	back.set("wait", string(plan.WaitYes))
}

// nowhere is the key of a shape that is not there.
const nowhere = "gone"

// keyOfShape is the key of the first shape of a name.
func keyOfShape(list []node, name node) node {
	for _, other := range list {
		if o, ok := other.(*object); ok && name != "" && o.values["name"] == name {
			return o.values["key"]
		}
	}
	if name == "" {
		return nil
	}
	return nowhere
}

// eachShape visits every shape laid on a face of the file, with the list it stands in.
func eachShape(file *object, visit func(list []node, shape *object)) {
	pieces, _ := file.values["pieces"].(*object)
	if pieces == nil {
		return
	}
	for _, name := range pieces.keys {
		if piece, ok := pieces.values[name].(*object); ok {
			shapesOf(piece.values["face"], visit)
		}
	}
}

func shapesOf(n node, visit func(list []node, shape *object)) {
	face, _ := n.(*object)
	if face == nil {
		return
	}
	list, _ := face.values["applique"].([]node)
	for _, one := range list {
		if shape, ok := one.(*object); ok {
			visit(list, shape)
		}
	}
	for _, key := range []string{"parts", "colourways"} {
		within, _ := face.values[key].([]node)
		for _, one := range within {
			if part, ok := one.(*object); ok {
				shapesOf(part.values["face"], visit)
			}
		}
	}
}

// old turns what was recorded into what is recorded now.
type old struct {
	names  *Names
	parts  map[string]int
	unread []node
}

// measurement turns the name of what was measured into the ref of its gate.
func (o *old) measurement(n node) {
	m, ok := n.(*object)
	if !ok {
		return
	}
	what := m.take("what")
	if name, isText := what.(string); isText {
		if id, known := o.names.Gate(name); known {
			what = id
		}
	}
	if what != nil {
		m.first("gate", what)
	}
}

// progress turns the names of cuts and steps into their refs.
func (o *old) progress(pr *object) {
	o.divided(pr)
	o.cut(pr)
	for _, key := range []string{"times", "skipped", "early", "made"} {
		o.byStep(pr, key)
	}
	if done, ok := pr.values["done"].([]node); ok {
		out := []node{}
		for _, n := range done {
			if id, known := o.step(n); known {
				out = append(out, id)
				for _, within := range o.names.within(n) {
					out = append(out, within)
				}
			}
		}
		pr.set("done", out)
	}
	if running, ok := pr.values["running"].(*object); ok {
		if id, known := o.step(running.values["step"]); known {
			running.set("step", id)
		} else {
			pr.take("running")
		}
	}
	if troubles, ok := pr.values["troubles"].([]node); ok {
		for _, n := range troubles {
			if t, isObject := n.(*object); isObject {
				if id, known := o.step(t.values["step"]); known {
					t.set("step", id)
				}
			}
		}
	}
	if len(o.unread) > 0 {
		pr.set("unread", o.unread)
	}
}

// divided gives the parts of steps their keys.
func (o *old) divided(pr *object) {
	o.parts = map[string]int{}
	parts, ok := pr.values["parts"].(*object)
	if !ok {
		return
	}
	out := &object{values: map[string]node{}}
	for _, name := range parts.keys {
		list, isList := parts.values[name].([]node)
		id, known := o.names.Step(name, nil)
		if !isList || !known {
			o.unread = append(o.unread, name)
			continue
		}
		o.parts[name] = len(list)
		keyed := make([]node, len(list))
		for i, n := range list {
			keyed[i] = &object{keys: []string{"key", "name"},
				values: map[string]node{"key": strconv.Itoa(i + 1), "name": n}}
		}
		out.set(id, keyed)
	}
	pr.set("parts", out)
}

// cut puts what was ticked off and the sizes it was cut to together.
func (o *old) cut(pr *object) {
	sizes, _ := pr.take("sizes").(*object)
	if list, ok := pr.values["cut"].([]node); ok {
		out := &object{values: map[string]node{}}
		for _, n := range list {
			name, isText := n.(string)
			id, known := o.names.Cut(name)
			if !isText || !known {
				o.unread = append(o.unread, n)
				continue
			}
			out.set(id, asCut(sizes, name))
		}
		pr.set("cut", out)
	}
	if spoiled, ok := pr.values["spoiled"].(*object); ok {
		out := &object{values: map[string]node{}}
		for _, name := range spoiled.keys {
			if id, known := o.names.Cut(name); known {
				out.set(id, spoiled.values[name])
			} else {
				o.unread = append(o.unread, name)
			}
		}
		pr.set("spoiled", out)
	}
}

// asCut is the size that a cut was cut to, where it was written down.
func asCut(sizes *object, name string) node {
	if sizes != nil {
		if size, ok := sizes.values[name].(*object); ok {
			return size
		}
	}
	return &object{values: map[string]node{}}
}

func (o *old) byStep(pr *object, key string) {
	record, ok := pr.values[key].(*object)
	if !ok {
		return
	}
	out := &object{values: map[string]node{}}
	for _, name := range record.keys {
		if id, known := o.step(name); known {
			out.set(id, record.values[name])
		}
	}
	pr.set(key, out)
}

// step is the ref of a step; what is not known is kept aside.
func (o *old) step(n node) (string, bool) {
	name, isText := n.(string)
	id, known := "", false
	if isText {
		id, known = o.names.Step(name, func(step string, no int) (key ref.Key, ok bool) {
			return ref.Key(strconv.Itoa(no)), no < o.parts[step]
		})
	}
	if !known && n != nil && !slices.Contains(o.unread, n) {
		o.unread = append(o.unread, n)
	}
	return id, known
}
