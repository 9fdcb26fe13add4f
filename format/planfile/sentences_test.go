package planfile_test

import (
	"encoding/json"
	"fmt"
	"maps"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"umschlag/anyplan"
	"umschlag/core/brief"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/demo"
	"umschlag/format/planfile"
)

// reader writes a brief as it reads.
type reader struct {
	strings.Builder
	// listed are the choices whose options stand above already; nil where neither they nor paths are told.
	listed map[string]bool
}

func (r *reader) block(b brief.Block, indent string) {
	r.WriteString(indent)
	if b.Widget != "" {
		r.WriteString("<" + strings.TrimSpace(b.Widget+" "+b.Of) + "> ")
	}
	for _, w := range b.Words {
		r.word(w)
	}
	for _, kept := range b.Aside {
		fmt.Fprintf(r, " kept: %s (%s) %s=%s, or %s", kept.Says, kept.Of, kept.Choice, kept.Key, kept.Forget)
	}
	if b.About != "" {
		r.WriteString(" about " + b.About)
	}
	r.WriteString("\n")
	for _, inner := range b.Blocks {
		r.block(inner, indent+"  ")
	}
}

func (r *reader) word(w brief.Word) {
	r.WriteString(w.Text)
	switch {
	case w.Field != nil:
		f := *w.Field
		if r.listed == nil {
			r.WriteString("[" + f.Label + "]")
			break
		}
		fmt.Fprintf(r, "[%s: %s %s", f.Label, f.Reads, strings.Join(append([]string{f.Path}, f.Also...), " "))
		if f.Shown != "" {
			r.WriteString(" shown " + f.Shown)
		}
		if f.Told != "" {
			r.WriteString(" told " + f.Told)
		}
		if f.Follows {
			r.WriteString(" ask")
		}
		r.WriteString("]")
	case w.Choice != nil:
		r.choice(*w.Choice)
	case w.Press != nil:
		fmt.Fprintf(r, "(%s)", w.Press.Says)
	case w.Shows != "":
		r.WriteString("[=" + w.Shows + "]")
	case w.Widget != "":
		r.WriteString("<" + strings.TrimSpace(w.Widget+" "+w.Of) + ">")
	}
}

func (r *reader) choice(c brief.Choice) {
	var options []string
	for _, o := range c.Options {
		says := o.Says
		if o.Shown != "" {
			says += " → " + o.Shown
		}
		if o.Key == c.Now {
			r.WriteString("{" + says + "}")
		}
		options = append(options, o.Key+": "+says)
	}
	if say := c.Label + " " + strings.Join(options, " | "); r.listed != nil && !r.listed[say] {
		r.listed[say] = true
		fmt.Fprintf(r, "\n      %s", say)
	}
}

// told writes a whole brief.
func (r *reader) told(b brief.Brief) {
	for _, s := range b.Stages {
		fmt.Fprintf(r, "%s: %s\n", s.Name, strings.Join(s.About, " "))
		for _, block := range s.Blocks {
			r.block(block, "  ")
		}
	}
}

// sentences are the lines of a brief without what could be chosen there.
func sentences(b brief.Brief) []string {
	r := &reader{}
	r.told(b)
	return strings.Split(strings.TrimSpace(r.String()), "\n")
}

// begun are plans as they begin, in centimetres, of everything there is to cover.
func begun(t *testing.T) map[string][]byte {
	out := map[string][]byte{}
	for _, thing := range plan.Things() {
		p, ok := plan.Begin(thing.Key, length.Centimetres, plan.DefaultHabits(length.Centimetres),
			plan.Cloth{Name: "moss"})
		require.True(t, ok)
		p.Title = "t"
		doc, err := json.Marshal(planfile.Full(p))
		require.NoError(t, err)
		for _, m := range thing.Measures {
			doc = merged(t, string(doc), fmt.Sprintf(`{"object": {%q: %q}}`, m.Key,
				p.Style().Plain(m.Usual(length.Centimetres))))
		}
		out["begun: "+thing.Key] = doc
	}
	return out
}

// The demo plans, and what a plan begins with, as their briefs read; and what each decision does to one of them, the
// first that asks for it: the changes of its file, and the sentences that are new.
func TestPlansAsTheyRead(t *testing.T) {
	plans, err := demo.Plans()
	require.NoError(t, err)
	maps.Copy(plans, begun(t))
	read := &reader{listed: map[string]bool{}}
	var done strings.Builder
	taken := map[string]bool{}
	for _, name := range slices.Sorted(maps.Keys(plans)) {
		p, err := planfile.Read(plans[name])
		require.NoError(t, err)
		b := brief.Of(p, nil)
		read.WriteString("# " + name + "\n")
		read.told(b)
		before := sentences(b)
		doc, err := json.Marshal(planfile.Full(p))
		require.NoError(t, err)
		for _, d := range anyplan.Decisions(b) {
			for _, key := range append(d.Keys, "") {
				if id := generic(d.ID) + " " + key; taken[id] || key == d.Now || key == "" && len(d.Keys) > 0 {
					continue
				}
				taken[generic(d.ID)+" "+key] = true
				fmt.Fprintf(&done, "%s: %s %s", name, d.ID, key)
				patch, err := planfile.Chosen(doc, d.ID, key, nil)
				if err != nil {
					fmt.Fprintf(&done, ": %s\n", err)
					continue
				}
				done.WriteString(changes(t, patch) + "\n")
				after, err := planfile.Read(applied(t, doc, patch))
				require.NoError(t, err)
				for _, line := range sentences(brief.Of(after, nil)) {
					if !slices.Contains(before, line) {
						fmt.Fprintf(&done, "   %s\n", line)
					}
				}
			}
		}
	}
	approved(t, "briefs.txt", read.String())
	approved(t, "decisions.txt", done.String())
}
