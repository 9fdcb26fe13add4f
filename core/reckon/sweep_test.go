package reckon_test

import (
	"slices"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/begin"
	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// anyBeginning draws a plan as it begins, with no more decided than kinds: of whatever is covered,
// from 3 in or 8 cm to 3 m, in cloth as wide as it is; or up to 90 cm, in cloth that is wide enough.
func anyBeginning(t *rapid.T) (p plan.Plan, wide bool) {
	unit := rapid.SampledFrom(length.Units()).Draw(t, "unit")
	thing := rapid.SampledFrom(plan.Things()).Draw(t, "thing")
	wide = rapid.Bool().Draw(t, "wide")
	cloth := plan.Cloth{Name: "cloth"}
	if wide {
		cloth.Width, cloth.Usable = ptr(120*in), ptr(120*in)
	}
	p, ok := plan.Begin(thing.Key, unit, plan.DefaultHabits(unit), cloth)
	require.True(t, ok)
	p.Title = "any"
	o := &p.Object
	for _, m := range thing.Measures {
		at := map[string]*length.Length{"width": &o.Width, "height": &o.Height, "length": &o.Length, "depth": &o.Depth,
			"wrap": &o.Wrap, "board": &o.Board, "spine": &o.Spine, "thickness": &o.Thickness}[m.Key]
		if *at = m.Usual(unit); m.Key != "spine" && m.Key != "thickness" {
			*at = sized(t, unit, wide, m.Key)
		}
	}
	p = p.Sized()
	if o.Kind == plan.Box {
		p.Cover.Kind = rapid.SampledFrom([]plan.CoverKind{"wrap-hood", "band-hood", "skirt-hood"}).Draw(t, "hood")
	}
	return p, wide
}

// sized draws a size on the ruler from 3 in or 8 cm to 3 m, small ones as often as large ones.
func sized(t *rapid.T, unit length.Unit, wide bool, name string) length.Length {
	most := rapid.SampledFrom([]int{5, 20, 120}).Draw(t, name+" up to")
	if wide {
		most = min(most, 35)
	}
	if unit == length.Inches {
		return in / 4 * length.Length(rapid.IntRange(12, 4*min(most, 118)).Draw(t, name))
	}
	return length.Centimetre / 2 * length.Length(rapid.IntRange(16, 5*most).Draw(t, name))
}

// Whatever is begun on its defaults alone can be cut: every cover, closure, corner, face and edge.
// What cannot begin says why; what is wider than its cloth stops, since that is the cloth's size.
func TestWhatBeginsCanBeCut(t *testing.T) {
	faces := []plan.FaceKind{plan.PlainFace, plan.GridFace, plan.StripsFace, plan.CheckerFace, plan.StackFace,
		plan.FoundFace, plan.GatheredFace, plan.WindowsFace}
	rapid.Check(t, func(t *rapid.T) {
		p, wide := anyBeginning(t)
		starts := reckon.Reckon(p, nil).Starts
		switch rapid.SampledFrom([]string{"nothing", "closure", "corners", "face", "edges"}).Draw(t, "decided") {
		case "closure":
			if p.Cover.Kind == plan.Cushion {
				p.Back = p.Closed(rapid.SampledFrom(plan.Closures(p.Units)).Draw(t, "closure"))
			}
			if p.Cover.Kind == plan.BoxedCushion {
				p.Back.Kind = plan.Zip
			}
		case "corners":
			shapes := map[string]plan.Corners{"radius": {Kind: plan.RoundCorners, Radius: read(t, p, starts.Radius)},
				"plate": {Kind: plan.RoundCorners, Plate: read(t, p, starts.Plate)}}
			kinds := []string{"radius", "plate"}
			if p.Object.Kind == plan.Form && p.Cover.Kind == plan.Cushion || p.Cover.Kind == plan.Pad {
				shapes["taper"], kinds = plan.Corners{Kind: plan.TaperedCorners,
					Taper: read(t, p, starts.Taper)}, append(kinds, "taper")
			}
			if p.Object.Shape != plan.RoundShape && p.Cover.Kind != plan.Jacket {
				p.Cover.Corners = shapes[rapid.SampledFrom(kinds).Draw(t, "corners")]
			}
		case "face":
			// cut plain
			pieces := slices.DeleteFunc(slices.Clone(plan.PieceNames(p.Cover.Kind)),
				func(name string) bool { return name == "back" })
			config, kind := rapid.SampledFrom(pieces).Draw(t, "piece"), rapid.SampledFrom(faces).Draw(t, "face")
			path := ""
			if rapid.Bool().Draw(t, "in a stack") {
				stack, ok := begin.Face(p, config, "", plan.StackFace)
				require.True(t, ok)
				p, path = withFace(p, config, stack), "/parts/1/face"
			}
			if why, unfit := begin.Unfit(p, config, path, kind); unfit {
				assert.NotEmpty(t, why.Text)
				return
			}
			f, ok := begin.Face(p, config, path, kind)
			require.True(t, ok)
			if path != "" {
				stack := p.Pieces[config].Face.Keyed(nil)
				stack.Parts[1].Face = f
				f = stack
			}
			p = withFace(p, config, f)
		case "edges":
			s := plan.StartsIn(p.Units)
			p.Edges.Piping = &plan.Piping{Cord: s.Cord, Cloth: "A"}
			if p.Object.Kind == plan.Box {
				p.Edges.Piping, p.Edges.Binding = nil, &plan.Binding{Shows: s.Shows, Cloth: "A"}
				p.Cover.Bottom = rapid.SampledFrom([]plan.Bottom{{}, {Finish: "hem", Width: s.Hem}, {Finish: "raw"}}).
					Draw(t, "bottom")
			}
		}
		for _, f := range reckon.Reckon(p, nil).Findings {
			if f.Level == finding.Stop && (wide || f.Code != "piece-too-wide") {
				t.Errorf("%s at %s: %s", f.Code, f.About, f.Text)
			}
		}
	})
}

func read(t *rapid.T, p plan.Plan, text string) length.Length {
	l, err := length.Parse(text, p.Units)
	require.NoError(t, err)
	return l
}
