package plan

import (
	"fmt"
	"math"
)

// Tone is how light the ground of a cloth is: its CIE lightness L*, as a share of 1. Source: IEC 61966-2-1
// (sRGB) and CIE 15, both from memory. ok is false where it has no colour.
func (s Swatch) Tone() (tone float64, ok bool) {
	var rgb [3]int
	if n, err := fmt.Sscanf(s.Ground, "#%02x%02x%02x", &rgb[0], &rgb[1], &rgb[2]); n != 3 || err != nil {
		return 0, false
	}
	linear := func(v int) float64 {
		s := float64(v) / 255
		if s <= 0.04045 {
			return s / 12.92
		}
		return math.Pow((s+0.055)/1.055, 2.4)
	}
	y := 0.2126*linear(rgb[0]) + 0.7152*linear(rgb[1]) + 0.0722*linear(rgb[2])
	if y <= 216.0/24389 {
		return y * 24389 / 27 / 100, true
	}
	return (116*math.Cbrt(y) - 16) / 100, true
}
