package brief

import (
	"fmt"

	"umschlag/core/divide"
	"umschlag/core/plan"
)

// apart adds what tells two pieces alike apart, and what makes them alike again, to the name of their piece.
func apart(t *Teller, c config) {
	lead := ", alike: "
	for _, s := range c.slots {
		switch {
		case s.Twins != nil:
			first, second := lower(s.Twins[0]), lower(s.Twins[1])
			says := "tell the two apart"
			if c.count > 2 {
				says = fmt.Sprintf("tell the %s from the %s", first, second)
			}
			if s.Count == 1 {
				lead = ": "
			}
			t.Say(lead)
			t.Press(Press{ID: path("pieces", s.Name) + "#apart", Says: says,
				Label: fmt.Sprintf("Tell the %s from the %s", first, second)},
				func(m *Moving) { *m.Plan = divide.Apart(*m.Plan, s.Name, m.workshop) })
			lead = "; "
		case s.Of != "" && s.Name == plan.TwinNames(s.Of)[0]:
			t.Say(": ")
			t.Press(Press{ID: path("pieces", s.Of) + "#alike", Says: "make both as this one",
				Label: fmt.Sprintf("Make both alike, as the %s is", c.title)},
				func(m *Moving) { *m.Plan = plan.Alike(*m.Plan, s.Of) })
		}
	}
}
