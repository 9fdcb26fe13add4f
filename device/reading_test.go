package device_test

import (
	"errors"
	"math"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"
	"pgregory.net/rapid"

	_ "umschlag/seeded"

	"umschlag/core/length"
	"umschlag/device"
)

func of(unit string, values ...float64) device.Reading {
	return device.Reading{Unit: unit, Values: values, Battery: 100}
}

func TestATapeIsTakenAsItReads(t *testing.T) {
	for name, c := range map[string]struct {
		reading device.Reading
		text    string
		says    string
	}{
		"centimetres, the middle of five": {of("cm", 41.31, 41.29, 41.3, 41.32, 41.28), "41.3", ""},
		"half a millimetre":               {of("mm", 413.6, 413.4), "413.5", ""},
		"inches to the 32nd":              {of("in", 16.3124, 16.3130, 16.312), "16 5/16", ""},
		"a tape whose battery is weak": {device.Reading{Unit: "cm", Values: []float64{41.3}, Battery: 12}, "41.3",
			"The battery of the tape is at 12%: change it soon."},
		"a tape without a battery": {device.Reading{Unit: "cm", Values: []float64{41.3}, Battery: -1}, "41.3",
			""},
	} {
		t.Run(name, func(t *testing.T) {
			taken, err := c.reading.Length()
			require.NoError(t, err)
			assert.Equal(t, c.says, taken.Says)
			got, err := length.Parse(taken.Text, length.Centimetres) // it says its own unit
			require.NoError(t, err)
			want, err := length.Parse(c.text, length.Unit(c.reading.Unit))
			require.NoError(t, err)
			assert.Equal(t, want, got, taken.Text)
			assert.Equal(t, want, taken.Length)
		})
	}
}

func TestWhatCannotBeTrustedIsRefusedWithWhatToDo(t *testing.T) {
	flat := of("cm", 41.3)
	flat.Battery = 4
	for name, c := range map[string]struct {
		reading device.Reading
		weight  bool
		says    string
	}{
		"no unit":               {of("", 41.3), false, "Set the tape to inches or centimetres and measure again."},
		"a unit of weight":      {of("g", 41.3), false, "Set the tape to inches or centimetres and measure again."},
		"not held still":        {of("cm", 41.1, 41.3, 41.5), false, "The readings lie 4 mm apart."},
		"an empty battery":      {flat, false, "The battery of the tape is at 4%"},
		"longer than a tape":    {of("cm", 412), false, "lay it on again"},
		"less than nothing":     {of("cm", -3), false, "lay it on again"},
		"no number":             {of("cm", math.NaN()), false, "no number"},
		"nothing":               {of("cm"), false, "sent nothing"},
		"a scale without unit":  {of("", 412), true, "Set the scale to grams or ounces"},
		"a scale not at rest":   {of("g", 400, 412), true, "Wait until the scale is at rest"},
		"an empty scale":        {of("g", -1), true, "set it to zero"},
		"more than it can bear": {of("g", 30000), true, "set it to zero"},
	} {
		t.Run(name, func(t *testing.T) {
			judge := c.reading.Length
			if c.weight {
				judge = c.reading.Weight
			}
			taken, err := judge()
			var refusal *device.Refusal
			require.ErrorAs(t, err, &refusal)
			assert.Contains(t, err.Error(), c.says)
			assert.NotEmpty(t, refusal.Remedy)
			assert.Equal(t, device.Taken{}, taken)
		})
	}
}

func TestAScaleIsTakenInGrams(t *testing.T) {
	taken, err := of("oz", 14.5, 14.51, 14.49).Weight()
	require.NoError(t, err)
	assert.InDelta(t, 14.5*28.349523125, taken.Grams, 0.05)
	assert.Equal(t, "411.1", taken.Text)
	taken, err = of("g", 412).Weight()
	require.NoError(t, err)
	assert.Equal(t, "412", taken.Text)
}

// Whatever a gauge sends, it is taken within what its hand can tell, or refused by name.
func TestAnyReading(t *testing.T) {
	rapid.Check(t, func(t *rapid.T) {
		r := device.Reading{Unit: rapid.SampledFrom([]string{"mm", "cm", "in", "g", "oz", "", "furlong"}).
			Draw(t, "unit"),
			Values: rapid.SliceOfN(rapid.Float64(), 0, 7).Draw(t, "values"), Battery: rapid.IntRange(-5, 200).
				Draw(t, "battery")}
		for _, judge := range []func() (device.Taken, error){r.Length, r.Weight} {
			taken, err := judge()
			var refusal *device.Refusal
			if errors.As(err, &refusal) {
				assert.NotEmpty(t, refusal.Reason)
				continue
			}
			require.NoError(t, err)
			assert.NotEmpty(t, taken.Text)
			assert.True(t, taken.Length > 0 || taken.Grams > 0)
		}
	})
}
