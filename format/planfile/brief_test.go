package planfile_test

import (
	"encoding/json"
	"fmt"
	"maps"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/anyplan"
	"umschlag/core/brief"
	"umschlag/core/finding"
	"umschlag/format/planfile"
)

// told is what a brief tells: every field and choice by its path, and the paths that widgets draw.
type told struct {
	fields  map[string]brief.Field
	choices map[string]brief.Choice
	presses map[string]brief.Press
	widgets []string
	labels  map[string]int
	kept    []brief.SetAside
	decided map[string]bool
}

func tellingOf(b brief.Brief) *told {
	t := &told{fields: map[string]brief.Field{}, choices: map[string]brief.Choice{}, presses: map[string]brief.Press{},
		labels: map[string]int{}, decided: map[string]bool{}}
	for _, stage := range b.Stages {
		t.blocks(stage.Blocks, brief.Place{})
	}
	return t
}

func (t *told) blocks(list []brief.Block, at brief.Place) {
	for _, b := range list {
		if b.Face != nil {
			at = *b.Face
		}
		if b.Widget != "" {
			t.widgets = append(t.widgets, b.Widget+" "+at.Base+at.Inner)
		}
		t.kept = append(t.kept, b.Aside...)
		t.words(b.Words, at)
		t.blocks(b.Blocks, at)
	}
}

func (t *told) words(list []brief.Word, at brief.Place) {
	for _, w := range list {
		switch {
		case w.Field != nil:
			t.fields[w.Field.Path] = *w.Field
			t.labels[w.Field.Label]++
			t.decide(w.Field.Path, w.Field.Also)
		case w.Choice != nil:
			t.choices[w.Choice.ID] = *w.Choice
			t.labels[w.Choice.Label]++
			t.decide(w.Choice.ID, w.Choice.Also)
		case w.Press != nil:
			t.presses[w.Press.ID] = *w.Press
			t.decide(w.Press.ID, nil)
		case w.Widget != "":
			t.widgets = append(t.widgets, w.Widget+" "+at.Base+at.Inner)
		case w.Shows != "":
			t.decide(w.Shows, nil)
		}
	}
}

func (t *told) decide(path string, also []string) {
	path, _, _ = strings.Cut(path, "#")
	t.decided[path] = true
	for _, p := range also {
		t.decided[p] = true
	}
}

// leaves are the paths of all values of a document.
func leaves(v any, path string, visit func(path string)) {
	switch v := v.(type) {
	case map[string]any:
		for _, key := range slices.Sorted(maps.Keys(v)) {
			leaves(v[key], path+"/"+key, visit)
		}
	case []any:
		for i, w := range v {
			leaves(w, fmt.Sprintf("%s/%d", path, i), visit)
		}
		if len(v) == 0 {
			visit(path)
		}
	default:
		visit(path)
	}
}

// elsewhere are the keys that are decided outside of the sentences, by what stands there for any name or number.
var elsewhere = map[string]string{
	"/format": "what the file is", "/units": "the switch above the brief", "/title": "the heading of the brief",
	"/object/kind": "what the plan began with", "/cover/kind": "what the plan began with",
	"/fittings/*/kind": "what was put on", "/fittings/*/key": "a name", "/habits/*": "the page of the plan’s habits",
	"/cloths/*/kind": "the cupboard", "/cloths/*/prewashed": "the cupboard", "/cloths/*/shrink": "the cupboard",
	"/cloths/*/stretch": "the cupboard", "/cloths/*/swatch/*": "the cupboard", "/cloths/*/price": "the cupboard",
	"/cloths/*/per": "the cupboard", "/cloths/*/have": "the cupboard",
}

// drawn are the keys of a face that a widget draws.
var drawn = map[string][]string{"block": {"block"}, "ways": {"colourways"}, "shapes": {"applique/*/shape"}}

func TestTheBriefHasAFieldForEveryKey(t *testing.T) {
	missing, looked := map[string]string{}, map[string]int{}
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		settled := planfile.Full(p.Settle())
		doc, err := json.Marshal(settled)
		require.NoError(t, err)
		b := tellingOf(brief.Of(p, nil))
		before, read := reckoned(t, doc)
		require.True(t, read)
		leaves(settled, "", func(path string) {
			kind := generic(path) + " " + string(p.Cover.Kind)
			if b.has(path) || missing[generic(path)] != "" || looked[kind] > 0 {
				return
			}
			looked[kind]++
			if why := matters(t, doc, path, before); why != "" {
				missing[generic(path)] = path + " of a " + string(p.Cover.Kind) + ": " + why
			}
		})
	})
	for _, g := range slices.Sorted(maps.Keys(missing)) {
		t.Error(g, missing[g])
	}
}

func TestWhatIsChosenIsTold(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		b := tellingOf(brief.Of(p, nil))
		for label, n := range b.labels {
			if n > 1 {
				t.Fatalf("%d decisions are called %q", n, label)
			}
		}
		id := rapid.SampledFrom(slices.Sorted(maps.Keys(b.choices))).Draw(t, "choice")
		c := b.choices[id]
		key := rapid.SampledFrom(c.Options).Draw(t, "option").Key
		if c.Sets {
			return // the interface writes it
		}
		doc, err := json.Marshal(planfile.Full(p))
		require.NoError(t, err)
		patch, err := planfile.Chosen(doc, id, key, nil)
		if err != nil {
			var refused planfile.Problems
			require.ErrorAs(t, err, &refused)
			require.NotContains(t, err.Error(), "no such decision")
			return
		}
		doc = applied(t, doc, patch)
		q, err := planfile.Read(doc)
		require.NoError(t, err, "%s: %q", id, key)
		after := tellingOf(brief.Of(q, nil))
		if strings.Contains(id, "#add") || key == "" { // it is one more, or one less
			return
		}
		if key == brief.Another { // it goes by a letter of its own, and is described
			now := after.choices[id].Now
			require.NotEqual(t, c.Now, now, id)
			require.Contains(t, q.Cloths, now)
			require.NotContains(t, p.Cloths, now)
			return
		}
		if now, there := after.choices[id]; there && now.Now != key && !strings.HasSuffix(id, "width#is") {
			t.Fatalf("%s: %q was chosen, %q is told", id, key, now.Now)
		}
		if key != c.Now {
			back, err := planfile.Chosen(doc, id, c.Now, nil)
			if err == nil {
				again, err := planfile.Read(applied(t, doc, back))
				require.NoError(t, err)
				if was := tellingOf(brief.Of(again, nil)).choices[id]; was.ID != "" && was.Now != c.Now {
					t.Fatalf("%s: %q was chosen again, %q is told", id, c.Now, was.Now)
				}
			}
		}
	})
}

// What is pressed, forgotten or follows leaves a plan that can be read.
func TestWhatIsPressedIsDone(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		for range rapid.IntRange(0, 2).Draw(t, "other kinds before") { // so that something is kept aside
			b := tellingOf(brief.Of(p, nil))
			kinds := slices.DeleteFunc(slices.Sorted(maps.Keys(b.choices)),
				func(id string) bool { return !strings.HasSuffix(id, "kind") || b.choices[id].Sets })
			if len(kinds) == 0 {
				break
			}
			c := b.choices[rapid.SampledFrom(kinds).Draw(t, "kind")]
			p, _, _ = brief.Choose(p, nil, c.ID, rapid.SampledFrom(c.Options).Draw(t, "other").Key)
		}
		b := tellingOf(brief.Of(p, nil))
		ids := slices.Sorted(maps.Keys(b.presses))
		for _, kept := range b.kept {
			ids = append(ids, kept.Forget)
		}
		for path, f := range b.fields {
			if f.Follows {
				ids = append(ids, path)
			}
		}
		if len(ids) == 0 {
			return
		}
		slices.Sort(ids)
		id := rapid.SampledFrom(ids).Draw(t, "pressed")
		doc, err := json.Marshal(planfile.Full(p))
		require.NoError(t, err)
		patch, err := planfile.Chosen(doc, id, "", nil)
		if err != nil {
			require.NotContains(t, err.Error(), "no such decision")
			return
		}
		changed := applied(t, doc, patch)
		q, err := planfile.Read(changed)
		require.NoError(t, err, id)
		if f, typed := b.fields[id]; typed && f.Follows {
			want, err := planfile.Reckon(changed, nil)
			require.NoError(t, err)
			followed, err := planfile.Followed(doc, id, nil)
			require.NoError(t, err)
			require.Equal(t, want, followed, "reckoned at once as after the change: %s", id)
		}
		for _, kept := range tellingOf(brief.Of(q, nil)).kept {
			require.NotEqual(t, id, kept.Forget, "forgotten is forgotten")
		}
	})
}

func TestWhatIsSoAlreadyChangesNothing(t *testing.T) {
	doc := []byte(`{"format": "umschlag/plan/2", "title": "t", "object": {"kind": "form", "width": "16.0", "height": "16"}, "cover": {"kind": "cushion"}, "cloths": {"A": {}},
		"pieces": {"front": {"face": {"kind": "grid", "columns": 4, "rows": 4, "patch": {"fit": true}, "cloths": ["A"]}}}}`)
	patch, err := planfile.Chosen(doc, "/pieces/front/face/columns", "", nil)
	require.NoError(t, err)
	require.NotNil(t, patch)
	require.Empty(t, patch)
}

// has tells whether a key is decided in the brief, or known to be decided elsewhere.
func (t *told) has(path string) bool {
	if t.decided[path] || elsewhere[generic(path)] != "" ||
		elsewhere[generic(path[:strings.LastIndex(path, "/")]+"/*")] != "" ||
		strings.HasSuffix(path, "/key") || strings.Contains(path, "/aside/") {
		return true
	}
	for id := range t.presses { // what pieces share is decided once one has it as its own
		if strings.HasSuffix(id, "#own") && finding.Within(path, "/pieces/*/face") {
			return true
		}
	}
	for _, w := range t.widgets {
		name, at, _ := strings.Cut(w, " ")
		for _, key := range drawn[name] {
			if finding.Within(generic(path), generic(at)+"/"+key) {
				return true
			}
		}
	}
	return false
}

// generic is a path with * for its numbers and for the names of cloths and pieces.
func generic(path string) string {
	parts := strings.Split(path, "/")
	for i, p := range parts {
		number := p != "" && p[0] >= '0' && p[0] <= '9'
		if number || i > 1 && (parts[i-1] == "pieces" || parts[i-1] == "cloths") {
			parts[i] = "*"
		}
	}
	return strings.Join(parts, "/")
}

// matters tells whether a reckoning reads the key at a path: what comes out otherwise with another value in it.
func matters(t require.TestingT, doc []byte, path string, before comesOut) string {
	if before.stopsAt(path) {
		return "" // the value itself is judged, read or not
	}
	keys := strings.Split(path, "/")[1:]
	for _, other := range []any{"7/8", "3", 2, 5, true, false, "straight", "squares", "scrap", "raw", "A", "B"} {
		var tree any
		require.NoError(t, json.Unmarshal(doc, &tree))
		was := at(tree, keys)
		if letter(tree, was) && !letter(tree, other) || !like(was, other) || !set(tree, keys, other) {
			continue
		}
		changed, err := json.Marshal(tree)
		require.NoError(t, err)
		after, read := reckoned(t, changed)
		if read && !after.stopsAt(path) && after.text != before.text {
			return fmt.Sprintf("with %v something else comes out", other)
		}
	}
	return ""
}

// like tells whether a value is of the sort of another: a size, a number, a word or neither.
func like(old, other any) bool {
	size := func(v any) bool { s, text := v.(string); return text && s != "" && s[0] <= '9' }
	switch old := old.(type) {
	case string:
		_, text := other.(string)
		return text && size(old) == size(other)
	case bool:
		_, is := other.(bool)
		return is
	}
	_, is := other.(int)
	return is
}

// letter tells whether a value is the letter of a cloth of a document.
func letter(doc, v any) bool {
	word, text := v.(string)
	return text && at(doc, []string{"cloths", word}) != nil
}

func at(v any, keys []string) any {
	if len(keys) == 0 {
		return v
	}
	switch v := v.(type) {
	case map[string]any:
		return at(v[keys[0]], keys[1:])
	case []any:
		if i, err := strconv.Atoi(keys[0]); err == nil && i < len(v) {
			return at(v[i], keys[1:])
		}
	}
	return nil
}

func set(v any, keys []string, to any) bool {
	switch v := v.(type) {
	case map[string]any:
		if len(keys) == 1 {
			v[keys[0]] = to
			return true
		}
		return set(v[keys[0]], keys[1:], to)
	case []any:
		i, err := strconv.Atoi(keys[0])
		if err != nil || i >= len(v) {
			return false
		}
		if len(keys) == 1 {
			v[i] = to
			return true
		}
		return set(v[i], keys[1:], to)
	}
	return false
}

// comesOut is what comes out of a plan: without the plan itself, and without what is said of keys that are not read.
type comesOut struct {
	text  string
	stops []string
}

func (c comesOut) stopsAt(path string) bool { return slices.Contains(c.stops, path) }

// reckoned is what comes out of a document; read is false where it is no plan.
func reckoned(t require.TestingT, doc []byte) (out comesOut, read bool) {
	r, err := planfile.Reckon(doc, nil)
	if err != nil {
		return out, false
	}
	r.Settled = nil
	r.Findings = slices.DeleteFunc(r.Findings, func(f finding.Finding) bool {
		return f.Code == "unread" || f.Level != finding.Stop && len(r.Pieces) > 0
	})
	for _, f := range r.Findings {
		if f.Level == finding.Stop {
			out.stops = append(out.stops, f.About)
		}
	}
	text, err := json.Marshal(r)
	require.NoError(t, err)
	out.text = string(text)
	return out, true
}
