package reckon

import (
	"fmt"
	"slices"

	"umschlag/core/length"
	"umschlag/core/plan"
)

// Misfit is why something that is cut does not fit a plan that was changed.
type Misfit string

// The misfits.
const (
	// Gone: nothing like it is cut any more. OtherCloth: it is of another cloth now, or of
	// another outline (OtherShape). TooSmall: it would have to be larger. Trimmed: it can be
	// cut down. TooFew: more of them are needed.
	Gone       Misfit = "gone"
	OtherCloth Misfit = "other-cloth"
	OtherShape Misfit = "other-shape"
	TooSmall   Misfit = "too-small"
	Trimmed    Misfit = "trimmed"
	TooFew     Misfit = "too-few"
)

// Spoil is something that is cut and that a change of the plan spoils.
type Spoil struct {
	Cut    string `json:"cut"`
	Misfit Misfit `json:"misfit"`
	// Text says what there is and what would be needed.
	Text string `json:"text"`
	// Again tells that it is cut anew where the change is kept; otherwise it is trimmed to
	// Width and Height.
	Again  bool `json:"again"`
	Width  L    `json:"width"`
	Height L    `json:"height"`
	// Step that cuts it, by its id: where it is cut again, that is not done any more.
	Step string `json:"step"`
	// Sewn are the steps that are done with it, by their titles.
	Sewn []string `json:"sewn"`
}

// Spoils lists what is cut by one plan and does not fit the next one: what the decisions
// between them spoil. What was measured since is no decision, and what the plan says of a
// cut that is not ticked off costs nothing.
func Spoils(was, now plan.Plan) []Spoil {
	before, after := was.Settle(), now.Settle()
	cut := slices.DeleteFunc(slices.Clone(before.Progress.Cut), func(id string) bool { return !slices.Contains(after.Progress.Cut, id) })
	if len(cut) == 0 {
		return nil
	}
	a, b := uncut(was, now), uncut(now, now)
	if len(b.Cuts) == 0 {
		return nil // it cannot be cut as it stands, and says so
	}
	var out []Spoil
	for _, id := range cut {
		old := slices.IndexFunc(a.Cuts, func(c Cut) bool { return c.ID == id })
		if old < 0 {
			continue
		}
		had, known := before.Progress.Sizes[id]
		if !known {
			had = plan.Sized{Width: length.Length(a.Cuts[old].Width.NM), Height: length.Length(a.Cuts[old].Height.NM)}
		}
		if s, spoiled := spoil(a, b, a.Cuts[old], had, before, after); spoiled {
			s.Step, s.Sewn = madeOf(a, id, before.Progress.Done)
			out = append(out, s)
		}
	}
	return out
}

// uncut is the reckoning of a plan of which nothing is cut yet, measured as another one.
func uncut(p, measured plan.Plan) Reckoning {
	p.Measured, p.Progress = measured.Measured, plan.Progress{}
	return Reckon(p, nil)
}

// spoil compares one cut with what takes its place.
func spoil(a, b Reckoning, old Cut, had plan.Sized, before, after plan.Plan) (Spoil, bool) {
	style := after.Style()
	size := func(w, h length.Length) string { return style.Text(w) + " × " + style.Text(h) }
	s := Spoil{Cut: old.ID, Again: true, Sewn: []string{}}
	from, to := clothName(before, old.Cloth), after.Cloths[old.Cloth].Name
	there := fmt.Sprintf("%d × %s of %s, cut %s", old.Total, old.Title, from, size(had.Width, had.Height))
	i := slices.IndexFunc(b.Cuts, func(c Cut) bool { return c.ID == old.ID })
	if i < 0 {
		s.Misfit, s.Text = Gone, there+": nothing of it is needed any more."
		return s, true
	}
	next := b.Cuts[i]
	w, h := length.Length(next.Width.NM), length.Length(next.Height.NM)
	s.Width, s.Height = next.Width, next.Height
	same := next.Width.NM == old.Width.NM && next.Height.NM == old.Height.NM
	switch {
	case old.Cloth != next.Cloth || to != before.Cloths[old.Cloth].Name && to != "":
		s.Misfit, s.Text = OtherCloth, fmt.Sprintf("%s: now it is of %s.", there, clothName(after, next.Cloth))
	case old.Path != next.Path || !slices.Equal(old.Line, next.Line):
		s.Misfit, s.Text = OtherShape, there+": its outline is another one."
	case !same && (w > had.Width || h > had.Height):
		s.Misfit, s.Text = TooSmall, fmt.Sprintf("%s: now %s, it is too small.", there, size(w, h))
	case next.Total > old.Total:
		s.Misfit, s.Text = TooFew, fmt.Sprintf("%s: now it takes %d of %s.", there, next.Total, size(w, h))
	case same || w == had.Width && h == had.Height:
		return s, false
	default:
		s.Misfit, s.Text, s.Again = Trimmed, fmt.Sprintf("%s: now %s, it is trimmed to that.", there, size(w, h)), false
	}
	return s, true
}

// clothName is what a cloth is called, its letter where it has no name.
func clothName(p plan.Plan, letter string) string {
	if name := p.Cloths[letter].Name; name != "" {
		return name
	}
	return letter
}

// madeOf is the step that makes a cut, by its id, and the steps that are done and need it,
// by their titles.
func madeOf(r Reckoning, cut string, done []string) (step string, sewn []string) {
	sewn = []string{}
	for _, s := range r.Steps {
		if !slices.Contains(s.Cuts, cut) {
			continue
		}
		step = s.ID
		for _, next := range r.following(s.ID) {
			if slices.Contains(done, next.ID) {
				sewn = append(sewn, next.Title)
			}
		}
	}
	return step, sewn
}

// following are the steps that need one, directly or not, in their order.
func (r Reckoning) following(id string) []Step {
	reached := map[string]bool{id: true}
	var out []Step
	for _, s := range r.Steps {
		if slices.ContainsFunc(s.Needs, func(need string) bool { return reached[need] }) {
			reached[s.ID] = true
			out = append(out, s)
		}
	}
	return out
}
