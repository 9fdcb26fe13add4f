package brief

import (
	"reflect"

	"umschlag/core/plan"
)

var joins = []Option{{Key: "fewest", Says: "with the fewest joins"}, {Key: "least-cloth", Says: "of least fabric"}}

var grains = []Option{{Key: "bias", Says: "on the bias"}, {Key: "straight", Says: "on the straight grain"}}

// edges tells what happens at the edges and inside the seams.
func edges(t *Teller) {
	piping(t)
	binding(t)
	t.Say(" Seams are ")
	t.Set("/edges/inside", "Finish of the seams inside", string(t.plan.Edges.Inside),
		Option{Key: "zigzag", Says: "zigzagged"}, Option{Key: "overlock", Says: "overlocked"},
		Option{Key: "pinked", Says: "pinked"}, Option{Key: "bound", Says: "bound"},
		Option{Key: "enclosed", Says: "enclosed by the lining"}, Option{Key: "raw", Says: "left raw"})
	t.Say(" inside, allowances pressed ")
	t.Set("/habits/press", "Pressing", string(t.plan.Habits.Press), Option{Key: "nest", Says: "so that they nest"},
		Option{Key: "open", Says: "open"}, Option{Key: "dark", Says: "to the dark side"},
		Option{Key: "crossed", Says: "open where quilted, else nesting"})
	t.Say(". Cuts go up to the next ")
	t.Length("/habits/step", "Ruler step")
	t.Say(" on the ruler.")
	if t.plan.Cover.Rules().Topstitched {
		t.Say(" Turned, it is top-stitched ")
		t.Length("/edges/topstitch", "Distance of the top-stitching")
		t.Say(" from the edge.")
	}
	t.Widget("seams", "")
	t.End()
}

// piping tells of cord in the seam, or none.
func piping(t *Teller) {
	p, first := t.plan.Edges.Piping, t.first()
	now := "none"
	if p != nil {
		if now = "made"; p.Bought {
			now = "bought"
		}
	}
	cord := t.Usual().Cord
	begun := func(key string) plan.Piping {
		if key == "bought" {
			return plan.Piping{Cord: cord, Bought: true}
		}
		return plan.Piping{Cord: cord, Cloth: first}
	}
	t.Say("The seam is ")
	t.Choose(Choice{ID: "/edges/piping", Label: "Piping", Now: now, Also: []string{"/edges/piping/bought"},
		Options: []Option{{Key: "none", Says: "plain"}, {Key: "made", Says: "piped"},
			{Key: "bought", Says: "piped with bought piping"}}},
		func(m *Moving, key string) {
			e := &m.Plan.Edges
			had := e.Piping
			if key == "none" {
				e.Piping = nil
				if had != nil && !reflect.DeepEqual(*had, begun(now)) {
					e.Aside = kept(e.Aside, func(t *plan.Trimmings) { t.Piping = had })
				}
				return
			}
			next := begun(key)
			if had == nil && e.Aside != nil {
				had = e.Aside.Piping
			}
			if had != nil {
				next = *had
				next.Cloth, next.Bought = or(next.Cloth, first), key == "bought"
			}
			e.Piping, e.Aside = &next, kept(e.Aside, func(t *plan.Trimmings) { t.Piping = nil })
		})
	if now == "made" {
		t.Say(" over a cord of ")
		t.Length("/edges/piping/cord", "Thickness of the cord")
		t.Say(", in ")
		t.Choose(Choice{ID: "/edges/piping/cloth", Label: "Fabric of the piping", Now: or(p.Cloth, first),
			Options: faced(t)}, func(m *Moving, letter string) {
			next := *m.Plan.Edges.Piping
			next.Cloth = letter
			m.Plan.Edges.Piping = &next
		})
		t.Say(" cut ")
		t.Set("/edges/piping/grain", "Grain of the piping", string(p.Grain), grains...)
		joined(t, "piping", p.Grain, p.Joins)
		t.Widget("strips", "piping")
	}
	t.Say(".")
}

// joined tells how straight strips are joined.
func joined(t *Teller, what string, grain plan.Grain, now plan.Joins) {
	if grain == plan.StraightGrain {
		t.Say(", ")
		t.Set("/edges/"+what+"/joins", "Joins of the "+what, or(string(now), "fewest"), joins...)
	}
}

// kept are the trimmings that are kept aside, changed; nothing where none is left.
func kept(old *plan.Trimmings, change func(*plan.Trimmings)) *plan.Trimmings {
	var next plan.Trimmings
	if old != nil {
		next = *old
	}
	if change(&next); next == (plan.Trimmings{}) {
		return nil
	}
	return &next
}

// binding tells what covers the open edge of a hood.
func binding(t *Teller) {
	if t.plan.Object.Kind != plan.Box || or(string(t.plan.Cover.Bottom.Finish), "bound") != "bound" {
		return
	}
	b, first, now := t.plan.Edges.Binding, t.first(), "none"
	if b != nil {
		now = string(b.Style)
	}
	begun := plan.Binding{Shows: t.Usual().Shows, Cloth: first}
	t.Say(" The bottom is bound with ")
	t.Choose(Choice{ID: "/edges/binding/style", Label: "Binding", Now: now,
		Options: []Option{{Key: "none", Says: "tape of any width"}, {Key: "bought", Says: "bought tape"},
			{Key: "double", Says: "a strip folded double"}, {Key: "tape", Says: "a strip folded to a tape"}}},
		func(m *Moving, key string) {
			e := &m.Plan.Edges
			had := e.Binding
			if key == "none" {
				e.Binding = nil
				as := begun
				as.Style = plan.BindingStyle(now)
				if had != nil && *had != as {
					e.Aside = kept(e.Aside, func(t *plan.Trimmings) { t.Binding = had })
				}
				return
			}
			if had == nil && e.Aside != nil {
				had = e.Aside.Binding
			}
			next := begun
			if had != nil {
				next = *had
			}
			next.Cloth, next.Style = or(next.Cloth, first), plan.BindingStyle(key)
			e.Binding, e.Aside = &next, kept(e.Aside, func(t *plan.Trimmings) { t.Binding = nil })
		})
	if b != nil {
		t.Say(", showing ")
		t.Length("/edges/binding/shows", "What shows of the binding")
	}
	if b != nil && b.Style != plan.BoughtBinding {
		t.Say(", in ")
		t.Choose(Choice{ID: "/edges/binding/cloth", Label: "Fabric of the binding", Now: or(b.Cloth, first),
			Options: faced(t)}, func(m *Moving, letter string) {
			next := *m.Settled().Edges.Binding
			if m.Plan.Edges.Binding != nil {
				next = *m.Plan.Edges.Binding
			}
			next.Cloth = letter
			m.Plan.Edges.Binding = &next
		})
		t.Say(" cut ")
		t.Set("/edges/binding/grain", "Grain of the binding", string(b.Grain), grains...)
		joined(t, "binding", b.Grain, b.Joins)
		t.Widget("strips", "binding")
	}
	t.Say(".")
}
