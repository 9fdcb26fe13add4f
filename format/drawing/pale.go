package drawing

import (
	"math"
	"strconv"
	"strings"
)

// RGB reads a colour such as #27345f; ok is false for anything else.
func RGB(text string) (rgb [3]int, ok bool) {
	n, err := strconv.ParseUint(strings.TrimPrefix(text, "#"), 16, 32)
	if err != nil || len(text) != 7 || text[0] != '#' {
		return rgb, false
	}
	return [3]int{int(n >> 16), int(n >> 8 & 255), int(n & 255)}, true
}

// Pale is a colour thinned with white to a share of its strength, 0 to 1: lines are read on
// it whatever the cloth, and what lies on top still covers what lies below.
func Pale(rgb [3]int, strength float64) [3]int {
	for i, c := range rgb {
		rgb[i] = int(math.Round(255 - strength*float64(255-c)))
	}
	return rgb
}
