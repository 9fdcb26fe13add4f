package become

import (
	"slices"
	"strings"

	"umschlag/core/stock"
)

// holder is nobody: what is kept for others is not free.
var holder = stock.Holder{}

func lowerFirst(title string) string { return strings.ToLower(title[:1]) + title[1:] }

// spread writes the patches of a grid out in letters: of each in proportion to what it gives, no more than that, and
// no two alike side by side or one above the other where that can be. false where they give too little.
func spread(letters []string, gives []int, columns, rows int) ([][]string, bool) {
	left, ok := shares(gives, columns*rows)
	if !ok {
		return nil, false
	}
	of := slices.Clone(left)
	out := make([][]string, rows)
	for r := range out {
		for c := range columns {
			next := pick(out, r, c, letters, left, of)
			left[next]--
			out[r] = append(out[r], letters[next])
		}
	}
	return out, true
}

// pick is the cloth of the next patch: one of which half of all that is to come would be, where it does not lie beside
// its like; else of those that touch fewest alike the one of which the largest share is left.
func pick(out [][]string, r, c int, letters []string, left, of []int) int {
	toCome := 0
	for _, n := range left {
		toCome += n
	}
	next, touches := -1, 0
	for i, n := range left {
		if n == 0 {
			continue
		}
		t := touching(out, r, c, letters[i])
		if 2*n >= toCome && !beside(out, r, c, letters[i]) {
			return i
		}
		if next < 0 || t < touches || t == touches && n*of[next] > left[next]*of[i] {
			next, touches = i, t
		}
	}
	return next
}

// beside tells that a patch would lie beside or below its like.
func beside(rows [][]string, r, c int, letter string) bool {
	return c > 0 && rows[r][c-1] == letter || r > 0 && rows[r-1][c] == letter
}

// touching is how much a patch of a letter would touch those laid before it that are alike: beside and above it twice,
// over a corner once.
func touching(rows [][]string, r, c int, letter string) (n int) {
	count := func(row, column, weight int) {
		if row >= 0 && column >= 0 && column < len(rows[row]) && rows[row][column] == letter {
			n += weight
		}
	}
	count(r, c-1, 2)
	count(r-1, c, 2)
	count(r-1, c-1, 1)
	count(r-1, c+1, 1)
	return n
}

// shares divides so many patches among what gives them, in proportion and none more than it gives; false where they
// do not suffice.
func shares(gives []int, all int) ([]int, bool) {
	sum := 0
	for _, n := range gives {
		sum += n
	}
	if sum < all {
		return nil, false
	}
	out := make([]int, len(gives))
	given := 0
	for i, n := range gives {
		out[i] = n * all / sum
		given += out[i]
	}
	for i := 0; given < all; i = (i + 1) % len(gives) {
		if out[i] < gives[i] {
			out[i]++
			given++
		}
	}
	return out, true
}
