package planfile

import (
	"encoding/json"
	"fmt"
	"slices"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/spoil"
)

// Converted is a plan shown in another unit. Every length that was typed keeps the unit it was typed in, written out,
// and so what it is. What nobody typed takes what is usual in the other unit, while nothing is recorded of its making;
// after that it stays as well. The error is of type Problems.
func Converted(data []byte, to length.Unit) ([]byte, error) {
	p, err := Read(data)
	if err != nil {
		return nil, err
	}
	doc, err := Upgraded(data)
	if err != nil {
		return nil, err
	}
	made := !spoil.Nothing(p)
	if made {
		if doc, err = json.Marshal(Full(p.Settle())); err != nil {
			return nil, fmt.Errorf("write the plan: %w", err)
		}
	}
	var into plan.Plan
	if doc, err = Exactly(doc, p.Units, &into); err != nil {
		return nil, err
	}
	n, err := parse(doc)
	if err != nil {
		return nil, err
	}
	file, _ := n.(*object)
	if !made {
		unsaid(file, p)
	}
	if _, said := file.values["units"]; !said {
		file.keys = append(file.keys, "units")
	}
	file.values["units"] = string(to)
	return print(file), nil
}

// unsaid takes out the sizes that a plan has because it began with those that are usual in its unit.
func unsaid(file *object, p plan.Plan) {
	usual := plan.DefaultHabits(p.Units)
	drop := func(o *object, key string, as bool) {
		if o != nil && as {
			delete(o.values, key)
			o.keys = slices.DeleteFunc(o.keys, func(k string) bool { return k == key })
		}
	}
	part := func(key string) *object {
		o, _ := file.values[key].(*object)
		return o
	}
	h := p.Habits
	drop(part("habits"), "step", h.Step == usual.Step)
	drop(part("habits"), "seam", h.Seam == usual.Seam)
	drop(part("habits"), "hem", h.Hem == usual.Hem)
	drop(part("cover"), "seam", p.Cover.Seam == usual.Seam)
	drop(part("back"), "hem", slices.Equal(p.Back.Hem, []length.Length{usual.Hem, usual.Hem}))
}
