package ref_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"pgregory.net/rapid"

	"umschlag/core/ref"
	_ "umschlag/seeded"
)

// hostile words look like fields, like keys and like what is escaped.
var hostile = []string{"", "front", "border.1.side", "role:x", ".of:b1", "_2e", "a|b", "Ä", "moss leaf", "1", "-",
	"step.", "\x00", "_", "no:2"}

func anyRef(t *rapid.T, name string) ref.Ref {
	word := func(of string) string { return rapid.SampledFrom(hostile).Draw(t, name+of) }
	return ref.Ref{Kind: rapid.SampledFrom([]ref.Kind{ref.Cut, ref.Step, ref.Gate}).Draw(t, name+"kind"),
		Piece: word("piece"), Of: ref.Key(word("of")),
		Twin: rapid.Bool().Draw(t, name+"twin"), Role: ref.Role(word("role")), Edge: word("edge"), Cloth: word("cloth"),
		Layer: word("layer"),
		No:    rapid.IntRange(0, 12).Draw(t, name+"no"), Late: rapid.Bool().Draw(t, name+"late"),
		Join: [2]ref.Seat{{Piece: word("a"), Edges: word("at")}, {Piece: word("b"), Edges: word("bt")}},
		Part: ref.Key(word("part"))}
}

// nearly is a ref with one of its fields as another has it.
func nearly(t *rapid.T, a, b ref.Ref) ref.Ref {
	switch rapid.IntRange(0, 6).Draw(t, "which") {
	case 0:
		a.Piece, a.Of = string(b.Of), ref.Key(b.Piece)
	case 1:
		a.Cloth = b.Layer
	case 2:
		a.No = b.No
	case 3:
		a.Join[0], a.Join[1] = a.Join[1], a.Join[0]
	case 4:
		a.Late = !a.Late
	case 5:
		a.Edge, a.Cloth = b.Edge, a.Edge
	default:
		a.Part = b.Part
	}
	return a
}

func TestRefsPrintAlikeOnlyWhenTheyAreTheSame(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		a, b := anyRef(t, "a"), anyRef(t, "b")
		for _, other := range []ref.Ref{b, nearly(t, a, b)} {
			assert.Equal(t, a == other, a.String() == other.String(), "%#v %#v", a, other)
			assert.Equal(t, a == other, a.Compare(other) == 0)
			assert.Equal(t, a.Compare(other), -other.Compare(a))
		}
		assert.Empty(t, strings.Trim(a.String(), "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789-_.:"),
			"nothing has to be escaped")
	})
}

func TestRefsAreOrdered(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		list := []ref.Ref{anyRef(t, "a"), anyRef(t, "b"), anyRef(t, "c"), anyRef(t, "d")}
		slices.SortFunc(list, ref.Ref.Compare)
		for i := 1; i < len(list); i++ {
			assert.LessOrEqual(t, list[i-1].Compare(list[i]), 0)
		}
	})
}

func TestPrintedForm(t *testing.T) {
	for want, r := range map[string]ref.Ref{
		"cut.piece:front.role:patch.cloth:A": {Kind: ref.Cut, Piece: "front", Role: ref.Patch,
			Cloth: "A"},
		"cut.piece:front.of:b1.role:border-first.edge:left": {Kind: ref.Cut, Piece: "front", Of: "b1",
			Role: ref.BorderFirst, Edge: "left"},
		"cut.of:hb3k.role:fitting-part.layer:batting.no:1": {Kind: ref.Cut, Of: "hb3k", Role: ref.FittingPart,
			Layer: "batting", No: 1},
		"cut.piece:front.of:s1.twin:1.role:shape": {Kind: ref.Cut, Piece: "front", Of: "s1", Twin: true,
			Role: ref.Shape},
		"step.a:main.at:left_7cright.b:end.bt:left_2btop": {Kind: ref.Step,
			Join: [2]ref.Seat{{Piece: "main", Edges: "left|right"}, {Piece: "end", Edges: "left+top"}}},
		"cut.piece:front.role:patch.cloth:border_2e1_2eside": {Kind: ref.Cut, Piece: "front", Role: ref.Patch,
			Cloth: "border.1.side"},
		"step.piece:front.role:panel.late:1.part:h1": ref.Ref{Kind: ref.Step, Piece: "front", Role: ref.Panel,
			Late: true}.InPart("h1"),
		"cut.piece:front.of:b1.role:border-first.layer:outer": {Kind: ref.Cut, Piece: "front", Of: "b1",
			Role: ref.BorderFirst, Layer: "outer"},
	} {
		assert.Equal(t, want, r.String())
	}
}

func TestKeys(t *testing.T) {
	for key, valid := range map[ref.Key]bool{"": false, "a": true, "1": true, "hb3k": true, "123456789012": true,
		"1234567890123": false, "A": false, "a.b": false, "ä": false} {
		assert.Equal(t, valid, key.Valid(), key)
	}
}

func TestAFamilyIsWithoutWhatIsDerived(t *testing.T) {
	a := ref.Ref{Kind: ref.Cut, Piece: "front", Of: "p1", Role: ref.BlockPatch, No: 3, Cloth: "A", Edge: "left"}
	b := ref.Ref{Kind: ref.Cut, Piece: "front", Of: "p1", Role: ref.BlockPatch, No: 5, Cloth: "B"}
	assert.NotEqual(t, a, b)
	assert.Equal(t, a.Family(), b.Family())
	b.Of = "p2"
	assert.NotEqual(t, a.Family(), b.Family())
}
