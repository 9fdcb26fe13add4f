// Package spoil knows what a change of a plan does to what is done of it: which pieces that are
// cut do not fit any more, which steps would have to come apart, and which measurements were
// taken on something else.
//
// Things are the same when their names are, and what they are made of: a piece by its size, its
// outline and its cloth, a step by what it sews. What has no key of its own and got another
// number is found again by what it is made of.
package spoil

import (
	"cmp"
	"fmt"
	"slices"

	"umschlag/core/answer"

	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
	"umschlag/core/ref"
)

// Why is what becomes of something that is done.
type Why string

// The reasons.
const (
	// Gone: there is nothing like it any more. OtherCloth: it is of another cloth now, or of
	// another outline (OtherShape). TooSmall: it would have to be larger. Trimmed: it can be
	// cut down. TooFew: more of them are needed.
	Gone       Why = "gone"
	OtherCloth Why = "other-cloth"
	OtherShape Why = "other-shape"
	TooSmall   Why = "too-small"
	Trimmed    Why = "trimmed"
	TooFew     Why = "too-few"
	// Resewn: a step sews something else, or otherwise. Follows: it needs one that is open
	// again. Unmeasured: it was measured on something else.
	Resewn     Why = "resewn"
	Follows    Why = "follows"
	Unmeasured Why = "unmeasured"
)

// Spoil is something that is done and that a change spoils.
type Spoil struct {
	// Kind of thing: a cut, a step or a gate.
	Kind ref.Kind `json:"kind"`
	// Ref of it, as it is recorded.
	Ref   string `json:"ref"`
	Why   Why    `json:"why"`
	Title string `json:"title"`
	// Text says what there is and what would be needed.
	Text string `json:"text"`
	// Again tells that a cut is cut anew where the change is kept; otherwise it is trimmed to
	// Width and Height.
	Again  bool     `json:"again,omitempty"`
	Width  answer.L `json:"width"`
	Height answer.L `json:"height"`
}

// Carried is something done that goes by another ref in the changed plan.
type Carried struct{ From, To string }

// List is what a change does to what is done.
type List struct {
	Spoils  []Spoil
	Carried []Carried
}

// Of compares what is recorded of a plan with what the changed one wants: what the decisions
// between them spoil. What was measured since is no decision. was is the last plan that could be
// cut; of one that cannot, nothing is said until it can be again.
func Of(was, now plan.Plan, w *reckon.Workshop) List {
	if Nothing(was) {
		return List{}
	}
	before, after := w.Settle(was), w.Settle(now)
	a := bare(before, after, w)
	for {
		b := bare(after, after, w)
		if len(a.Cuts) == 0 || len(b.Cuts) == 0 {
			return List{}
		}
		c := comparison{was: side{a, before, after}, now: side{b, after, before}, list: List{}}
		c.cuts()
		c.steps()
		c.measurements()
		// What was cut to a measurement that leaves is held against the plan without it.
		left := c.list.Kept(after, Again).Measured
		if len(left) == len(after.Measured) {
			return c.list
		}
		after.Measured = left
	}
}

// Comparable reports that a plan can be cut, so that what is done of it can be told.
func Comparable(p plan.Plan, w *reckon.Workshop) bool {
	p.Progress = plan.Progress{}
	return len(reckon.Reckon(p, w).Cuts) > 0
}

// Nothing reports that nothing is recorded of a plan.
func Nothing(p plan.Plan) bool {
	pr := p.Progress
	return len(pr.Cut)+len(pr.Done)+len(pr.Made)+len(pr.Skipped)+len(pr.Early)+
		len(pr.Parts)+len(pr.Times)+len(p.Measured) == 0
}

// bare is the reckoning of a plan of which nothing is done yet, measured and divided as another
// one.
func bare(p, as plan.Plan, w *reckon.Workshop) answer.Reckoning {
	p.Measured, p.Progress = as.Measured, plan.Progress{Parts: as.Progress.Parts}
	return reckon.Reckon(p, w)
}

// comparison is one under way.
type comparison struct {
	was, now side
	list     List
	// fit says which cuts of the changed plan are there already, as they are or trimmed.
	fit map[string]bool
	// dirty are the steps of the changed plan that are not as they were done.
	dirty map[string]bool
}

// cuts judges every cut that is ticked off in both plans.
func (c *comparison) cuts() {
	c.fit = map[string]bool{}
	old, next := byCut(c.was.Reckoning), byCut(c.now.Reckoning)
	home := paired(c.was.Cuts, c.now.Cuts, c.was.cut, c.now.cut)
	for _, cut := range c.was.Cuts { // in their order
		to, same := home[cut.ID]
		had, ticked := c.was.plan.Progress.Cut[cut.ID]
		if _, still := c.now.plan.Progress.Cut[cut.ID]; !ticked || !still {
			if same {
				c.fit[to] = true
			}
			continue
		}
		if had.Width == 0 {
			had.Width, had.Height = length.Length(cut.Width.NM), length.Length(cut.Height.NM)
		}
		if had.Count == 0 {
			had.Count = cut.Total
		}
		if same && next[to].Total <= had.Count {
			c.carry(cut.ID, to)
			c.fit[to] = true
			continue
		}
		if !same {
			to = cut.ID
		}
		wanted, there := next[to]
		s, spoiled := c.misfit(cut, had, wanted, there)
		if !spoiled {
			c.carry(cut.ID, to)
			c.fit[to] = true
			continue
		}
		c.fit[to] = c.fit[to] || !s.Again
		c.list.Spoils = append(c.list.Spoils, s)
	}
	for id := range c.now.plan.Progress.Cut {
		if _, known := old[id]; !known { // told apart from others by the change, which are there
			c.fit[id] = true
		}
	}
	for id := range c.was.plan.Progress.Cut {
		if _, known := old[id]; !known { // of a plan before: nothing answers to it
			c.list.Carried = append(c.list.Carried, Carried{From: id})
		}
	}
	slices.SortFunc(c.list.Carried, func(a, b Carried) int { return cmp.Compare(a.From, b.From) })
}

func (c *comparison) carry(from, to string) {
	if from != to {
		c.list.Carried = append(c.list.Carried, Carried{From: from, To: to})
	}
}

// misfit compares one cut with what takes its place.
func (c *comparison) misfit(old answer.Cut, had plan.AsCut, next answer.Cut, there bool) (Spoil, bool) {
	style := c.now.plan.Style()
	size := func(w, h length.Length) string { return style.Text(w) + " × " + style.Text(h) }
	s := Spoil{Kind: ref.Cut, Ref: old.ID, Title: old.Title, Again: true, Width: next.Width, Height: next.Height}
	said := fmt.Sprintf("%d × %s of %s, cut %s", had.Count, old.Title, c.was.clothName(old.Cloth),
		size(had.Width, had.Height))
	if !there {
		s.Why, s.Text = Gone, said+": nothing of it is needed any more."
		return s, true
	}
	w, h := length.Length(next.Width.NM), length.Length(next.Height.NM)
	same := next.Width.NM == old.Width.NM && next.Height.NM == old.Height.NM
	switch {
	case old.Cloth != next.Cloth || c.now.renamed(c.was, next.Cloth):
		s.Why, s.Text = OtherCloth, fmt.Sprintf("%s: now it is of %s.", said, c.now.clothName(next.Cloth))
	case old.Path != next.Path || !slices.Equal(old.Line, next.Line):
		s.Why, s.Text = OtherShape, said+": its outline is another one."
	case !same && (w > had.Width || h > had.Height):
		s.Why, s.Text = TooSmall, fmt.Sprintf("%s: now %s, it is too small.", said, size(w, h))
	case next.Total > had.Count:
		s.Why, s.Text = TooFew, fmt.Sprintf("%s: now it takes %d of %s.", said, next.Total, size(w, h))
	case same || w == had.Width && h == had.Height:
		return s, false
	default:
		s.Why, s.Text, s.Again = Trimmed, fmt.Sprintf("%s: now %s, it is trimmed to that.", said, size(w, h)), false
	}
	return s, true
}

// steps judges every step that is recorded in both plans.
func (c *comparison) steps() {
	home := paired(c.was.Steps, c.now.Steps, c.was.step, c.now.step)
	back := map[string]string{}
	for from, to := range home {
		back[to] = from
	}
	resewn := c.soil(back)
	next := map[string]answer.Step{}
	for _, s := range c.now.Steps {
		next[s.ID] = s
	}
	known := map[string]bool{}
	for _, s := range c.was.Steps {
		known[s.ID] = true
		to, same := home[s.ID]
		if !same {
			to = s.ID
		}
		_, there := next[to]
		if !c.recorded(s.ID) {
			continue
		}
		done := slices.Contains(c.was.plan.Progress.Done, s.ID) || c.was.plan.Progress.Made[s.ID] > 0
		switch {
		case !there && done:
			c.step(s, Gone, fmt.Sprintf("%s: it is done, and not part of the plan any more.", s.Title))
		case !there:
			c.list.Carried = append(c.list.Carried, Carried{From: s.ID})
		case done && resewn[to] && cutting(s):
			c.step(s, Resewn, fmt.Sprintf("%s: it is done, and there is something to cut at it again.", s.Title))
		case done && resewn[to]:
			c.step(s, Resewn, fmt.Sprintf("%s: it is done, and now it is done otherwise.", s.Title))
		case done && c.dirty[to]:
			c.step(s, Follows, fmt.Sprintf("%s: it is done, and what it needs is open again.", s.Title))
		default:
			c.carry(s.ID, to)
		}
	}
	for _, id := range recorded(c.was.plan.Progress) {
		if !known[id] {
			c.list.Carried = append(c.list.Carried, Carried{From: id})
		}
	}
}

func (c *comparison) step(s answer.Step, why Why, text string) {
	c.list.Spoils = append(c.list.Spoils,
		Spoil{Kind: ref.Step, Ref: s.ID, Why: why, Title: s.Title, Text: text, Again: true})
}

// recorded reports that something is recorded of a step in both plans.
func (c *comparison) recorded(id string) bool {
	return slices.Contains(recorded(c.was.plan.Progress), id) && slices.Contains(recorded(c.now.plan.Progress), id)
}

// soil finds the steps of the changed plan that are not as they were done, and those among them
// that sew something else themselves. back says which step of the plan before each of them was.
func (c *comparison) soil(back map[string]string) (resewn map[string]bool) {
	c.dirty, resewn = map[string]bool{}, map[string]bool{}
	was := map[string]bool{}
	for _, s := range c.was.Steps {
		was[s.ID] = true
	}
	ready := map[string]bool{}
	for _, s := range c.now.Steps {
		ready[s.ID] = cutting(s) || s.About.Role == ref.DoLayOut // what is made of what they give tells by itself
		switch _, alike := back[s.ID]; {
		case cutting(s):
			resewn[s.ID] = slices.ContainsFunc(s.Cuts, func(id string) bool { return !c.fit[id] })
		case !alike && !was[s.ID] && slices.Contains(c.now.plan.Progress.Done, s.ID):
			// told apart from another by the change, which is done
		case !alike:
			resewn[s.ID] = was[s.ID]
			c.dirty[s.ID] = true
		}
		c.dirty[s.ID] = c.dirty[s.ID] || resewn[s.ID] ||
			slices.ContainsFunc(s.Needs, func(need string) bool { return c.dirty[need] && !ready[need] })
	}
	return resewn
}

// measurements judges what was measured before the change.
func (c *comparison) measurements() {
	next := map[string]answer.Step{}
	for _, s := range c.now.Steps {
		if s.Gate != "" {
			next[s.Gate] = s
		}
	}
	for _, s := range c.was.Steps {
		if s.Gate == "" || !slices.ContainsFunc(c.was.plan.Measured,
			func(m plan.Measured) bool { return m.Gate == s.Gate }) {
			continue
		}
		now, there := next[s.Gate]
		switch {
		case !there:
			c.gate(s, Gone, fmt.Sprintf("What was measured at “%s”: nothing waits for it any more.", s.Title))
		case c.dirty[now.ID]:
			c.gate(s, Unmeasured, fmt.Sprintf("What was measured at “%s”: it was measured on something else.", s.Title))
		}
	}
}

func (c *comparison) gate(s answer.Step, why Why, text string) {
	c.list.Spoils = append(c.list.Spoils,
		Spoil{Kind: ref.Gate, Ref: s.Gate, Why: why, Title: s.Title, Text: text, Again: true})
}
