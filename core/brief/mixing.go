package brief

import (
	"fmt"
	"slices"

	"umschlag/core/plan"
	"umschlag/core/stock"
	"umschlag/core/supply"
)

// mixing tells what the scrap order of a face minds: how often each cloth is drawn, and where light and dark lie.
func mixing(f *FaceTeller) {
	face := f.face
	f.Say(" ")
	f.Press(Press{ID: f.id("seed"), Says: "mix again"}, func(m *Moving) {
		f.change(m, func(face *plan.Face) { face.Seed++ })
	})
	now := plan.Mix{}
	if face.Mix != nil {
		now = *face.Mix
	}
	set := func(face *plan.Face, change func(*plan.Mix)) {
		next := now
		change(&next)
		face.Mix = nil
		if len(next.Often)+len(next.Dark) > 0 {
			face.Mix = &next
		}
	}
	if there := amounts(f.Teller, face.Cloths); there != nil || len(now.Often) > 0 {
		f.Say(", of each ")
		f.either("mix/often", f.label("How often each fabric is drawn"), len(now.Often) > 0, "as many",
			"as many as there is of it", func(face *plan.Face, yes bool) {
				set(face, func(m *plan.Mix) {
					m.Often = nil
					if yes {
						m.Often = there
					}
				})
			})
	}
	if dark := darker(f.plan, face.Cloths); dark != nil || len(now.Dark) > 0 {
		f.Say(", light and dark ")
		f.either("mix/dark", f.label("Light and dark"), len(now.Dark) > 0, "as they come", "in turn",
			func(face *plan.Face, yes bool) {
				set(face, func(m *plan.Mix) {
					m.Dark = nil
					if yes {
						m.Dark = dark
					}
				})
			})
	}
	if n := len(face.Keep); n > 0 {
		f.Say(fmt.Sprintf(", %d kept ", n))
		f.Press(Press{ID: f.id("keep"), Says: "let all go"}, func(m *Moving) {
			f.change(m, func(face *plan.Face) { face.Keep = nil })
		})
	}
}

// leastMixed is how few cloths it takes to mind more than neighbours: of two each lies beside the other anyway.
const leastMixed = 3

// often is how many shares what there is of all cloths is divided into, so that the smallest of a dozen still has one.
const often = 48

// amounts is how much there is of each of some cloths, in shares of the whole; nil where that is not known of all.
func amounts(t *Teller, letters []string) map[string]int {
	areas, all := map[string]float64{}, 0.0
	for _, letter := range letters {
		a := areaOf(t, letter)
		if a == 0 {
			return nil
		}
		areas[letter] = a
	}
	for _, a := range areas {
		all += a
	}
	if len(areas) < leastMixed {
		return nil
	}
	out := map[string]int{}
	for letter, a := range areas {
		out[letter] = max(1, int(often*a/all+0.5))
	}
	return out
}

// areaOf is how much there is of a cloth of the plan; 0 where there is none, or nobody said.
func areaOf(t *Teller, letter string) (area float64) {
	c, _ := t.plan.Cloth(letter)
	var cupboard supply.Cupboard
	id := ""
	if t.workshop != nil {
		cupboard, id = t.workshop.Cloths, t.workshop.ID
	}
	have, odd := supply.Stock(c, cupboard, stock.Holder{Plan: id, Cloth: letter})
	if have != nil {
		area = have.Float() * c.Usable.Float()
	}
	for _, o := range odd {
		area += o.Width.Float() * o.Length.Float() * float64(o.Count)
	}
	return area
}

// darker are the darker half of some cloths, by the colour of their ground; nil where that tells none apart.
func darker(p plan.Plan, letters []string) []string {
	tones := map[string]float64{}
	for _, letter := range letters {
		c, _ := p.Cloth(letter)
		tone, ok := c.Swatch.Tone()
		if !ok {
			return nil
		}
		tones[letter] = tone
	}
	var order []float64
	for _, tone := range tones {
		order = append(order, tone)
	}
	slices.Sort(order)
	if len(order) < leastMixed || order[0] == order[len(order)-1] {
		return nil
	}
	// The widest step between two that follow each other divides light from dark.
	at := 1
	for i := range order[1:] {
		if order[i+1]-order[i] > order[at]-order[at-1] {
			at = i + 1
		}
	}
	var out []string
	for _, letter := range letters {
		if tones[letter] < order[at] && !slices.Contains(out, letter) {
			out = append(out, letter)
		}
	}
	slices.Sort(out)
	return out
}
