package reckon_test

import (
	"encoding/json"
	"maps"
	"reflect"
	"slices"
	"strings"
	"testing"

	"umschlag/anyplan"
	"umschlag/core/answer"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	"umschlag/core/finding"
	"umschlag/core/length"
	"umschlag/core/plan"
	"umschlag/core/reckon"
)

// say sets a field to something it did not say.
func say(t *rapid.T, v reflect.Value) {
	switch {
	case v.Type() == reflect.TypeFor[length.Length]():
		v.SetInt(int64(anyOf(t, "length", in/2, 3*in)))
	case v.Kind() == reflect.Int || v.Kind() == reflect.Int64:
		v.SetInt(3)
	case v.Kind() == reflect.Float64:
		v.SetFloat(2.5)
	case v.Kind() == reflect.Bool:
		v.SetBool(true)
	case v.Kind() == reflect.String:
		v.SetString("L")
		if closed, ok := v.Interface().(interface{ Values() []string }); ok {
			v.SetString(closed.Values()[len(closed.Values())-1])
		}
	case v.Kind() == reflect.Pointer:
		v.Set(reflect.New(v.Type().Elem()))
		say(t, v.Elem())
	case v.Kind() == reflect.Struct:
		say(t, v.Field(0))
	case v.Kind() == reflect.Slice:
		v.Set(reflect.MakeSlice(v.Type(), 1, 1))
		say(t, v.Index(0))
	}
}

// What a note says changes nothing changes nothing: with it or without, the same is reckoned. Where
// it has a finding of its own, that tells more.
func TestWhatIsNotReadChangesNothing(t *testing.T) {
	told := map[string]int{}
	rapid.Check(t, func(t *rapid.T) {
		p := anyplan.Plans().Draw(t, "plan")
		config := plan.PieceNames(p.Cover.Kind)[0]
		face := anyplan.Face(t, p, config).Keyed(nil)
		starts := plan.StartsIn(p.Units).Fittings
		fitting := starts[rapid.IntRange(0, len(starts)-1).Draw(t, "fitting")]
		fitting.On = rapid.SampledFrom(plan.PieceNames(p.Cover.Kind)).Draw(t, "on")
		p.Fittings = []plan.Fitting{fitting}
		said := p
		parts := map[string]reflect.Value{"/cover": reflect.ValueOf(&said.Cover).Elem(),
			"/back": reflect.ValueOf(&said.Back).Elem(), "/object": reflect.ValueOf(&said.Object).Elem(),
			"/fittings/0":                 reflect.ValueOf(&said.Fittings[0]).Elem(),
			"/pieces/" + config + "/face": reflect.ValueOf(&face).Elem()}
		path := rapid.SampledFrom(slices.Sorted(maps.Keys(parts))).Draw(t, "part")
		field := rapid.IntRange(0, parts[path].NumField()-1).Draw(t, "field")
		key, _, _ := strings.Cut(parts[path].Type().Field(field).Tag.Get("json"), ",")
		path += "/" + key
		at := parts[path[:strings.LastIndex(path, "/")]].Field(field)
		at.SetZero()
		without := reckon.Reckon(withFace(said, config, face), nil)
		say(t, at)
		with := reckon.Reckon(withFace(said, config, face), nil)
		if !slices.ContainsFunc(with.Findings,
			func(f finding.Finding) bool { return f.Code == "unread" && f.About == path }) {
			return
		}
		told[key]++
		if reckonedText(t, without) != reckonedText(t, with) {
			t.Errorf("%s of a %s with a face of %s and a back of %s is read: %v", path, p.Cover.Kind, face.Kind,
				p.Settle().Back.Kind, with.Findings)
		}
	})
	assert.Greater(t, len(told), 15, "%v", told)
}

func reckonedText(t *rapid.T, r answer.Reckoning) string {
	r.Settled = nil
	r.Findings = slices.DeleteFunc(slices.Clone(r.Findings), func(f finding.Finding) bool { return f.Code == "unread" })
	data, err := json.Marshal(r)
	require.NoError(t, err)
	return string(data)
}
