package web_test

import (
	"encoding/json"
	"fmt"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"umschlag/core/brief"
	"umschlag/core/plan"
	"umschlag/format/planfile"
)

type doc = map[string]any

func repeated(n int, one func(i int) any) []any {
	out := make([]any, n)
	for i := range out {
		out[i] = one(i)
	}
	return out
}

// heavy are plans of up to half a megabyte, each with far too much of something: what anybody may send.
func heavy() map[string][]byte {
	letters, cloths := []string{}, doc{}
	for c := 'A'; c <= 'Z'; c++ {
		letters = append(letters, string(c))
		cloths[string(c)] = doc{"name": "fabric " + string(c), "width": "120", "have": "1"}
	}
	grid := func(n int, more doc) doc {
		each := fmt.Sprint(100.0 / float64(n))
		f := doc{"kind": "grid", "columns": n, "rows": n, "cloths": letters, "order": "scrap",
			"patch": doc{"width": each, "height": each}}
		for k, v := range more {
			f[k] = v
		}
		return f
	}
	place := func(i int) doc { return doc{"left": fmt.Sprint(i % 50 * 2), "top": fmt.Sprint(i / 50)} }
	strips := func(n int) []any {
		return repeated(n, func(i int) any { return doc{"width": "1/2", "cloth": letters[i%26]} })
	}
	whole := func(face doc, more doc) []byte {
		p := doc{"format": "umschlag/plan/2", "title": "heavy", "units": "in",
			"object": doc{"kind": "form", "width": "100", "height": "100"}, "cover": doc{"kind": "cushion"},
			"cloths": cloths, "pieces": doc{"front": doc{"face": face}}}
		for k, v := range more {
			p[k] = v
		}
		data, err := json.Marshal(p)
		if err != nil {
			panic(err)
		}
		return data
	}
	odd := repeated(3000, func(i int) any {
		return doc{"width": fmt.Sprint(5 + i%90), "length": fmt.Sprint(5 + i%41), "count": 3}
	})
	many, cut, done := doc{}, doc{}, []string{}
	for i := range 4000 {
		many[fmt.Sprint("A", i)] = doc{"name": fmt.Sprint("fabric ", i), "width": "120"}
		cut[fmt.Sprint("cut.x", i)] = doc{"width": "3", "height": "3"}
		done = append(done, fmt.Sprint("front.x", i))
	}
	shapes := func(n int) []any {
		return repeated(n, func(i int) any {
			return doc{"shape": "circle", "name": "dot", "width": "3", "height": "3", "cloth": "B", "at": place(i)}
		})
	}
	return map[string][]byte{
		"10,000 patches": whole(grid(100, nil), nil),
		"all of them kept": whole(grid(100, doc{"keep": repeated(10_000, func(i int) any {
			return doc{"row": i/100 + 1, "column": i%100 + 1, "cloth": letters[i%26]}
		})}), nil),
		"blocks":            whole(grid(25, doc{"block": "pinwheel"}), nil),
		"more fittings":     whole(doc{"kind": "plain"}, doc{"fittings": pockets(3000, place)}),
		"fittings":          whole(doc{"kind": "plain"}, doc{"fittings": pockets(100, place)}),
		"more strips":       whole(doc{"kind": "strips", "strips": strips(8000)}, nil),
		"strips":            whole(doc{"kind": "strips", "strips": strips(200)}, nil),
		"more borders":      whole(grid(5, doc{"borders": strips(5000)}), nil),
		"more shapes":       whole(grid(5, doc{"applique": shapes(4000)}), nil),
		"shapes":            whole(grid(5, doc{"applique": shapes(400)}), nil),
		"more fabrics":      whole(grid(20, nil), doc{"cloths": many}),
		"offcuts":           whole(grid(20, nil), doc{"cloths": doc{"A": doc{"name": "a", "odd": odd}}}),
		"much that is done": whole(grid(20, nil), doc{"progress": doc{"cut": cut, "done": done}}),
	}
}

func pockets(n int, place func(int) doc) []any {
	return repeated(n, func(i int) any {
		return doc{"kind": "pocket", "on": "front", "width": "1", "height": "1/2", "at": place(i)}
	})
}

// What is too much is said, with how much would do; whatever is sent is answered.
func TestHeavyPlansAreAnswered(t *testing.T) {
	plans, h := heavy(), app(t)
	for name, says := range map[string]string{
		"more fittings": "Keep up to 100.", "more strips": "Give 1 to 200 strips.",
		"more borders": "Keep up to 40.", "more shapes": "Keep up to 400.", "more fabrics": "Keep up to 100.",
		"offcuts": "Keep up to 400."} {
		data := plans[name]
		require.Less(t, len(data), 500_000, name)
		var r struct {
			Findings []struct{ Code, Remedy string }
			Pieces   []any
		}
		assert.Equal(t, 200, call(t, h, "POST", "/api/v1/reckon", string(data), &r).Code, name)
		assert.Empty(t, r.Pieces, name)
		assert.Contains(t, fmt.Sprint(r.Findings), says, name)
	}
}

// BenchmarkHeavyPlans tells how long the heaviest plans take to be answered with all that is offered.
func BenchmarkHeavyPlans(b *testing.B) {
	for name, data := range heavy() {
		b.Run(name, func(b *testing.B) {
			var p plan.Plan
			for b.Loop() {
				r, err := planfile.Reckon(data, nil)
				require.NoError(b, err)
				_, err = planfile.Mended(data, r, nil)
				require.NoError(b, err)
				p, err = planfile.Read(data)
				require.NoError(b, err)
				brief.Of(p, nil)
			}
			b.ReportMetric(float64(plan.Heft(p)), "heft")
		})
	}
}
