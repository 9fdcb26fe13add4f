package front

import (
	"math/rand/v2"

	"umschlag/core/finding"
	"umschlag/core/plan"
)

// arrange gives every patch of a grid its cloth, rows from the top.
func arrange(f plan.Face, path string) ([][]string, finding.List) {
	cloths := f.Cloths
	if len(cloths) == 0 {
		cloths = []string{f.Cloth}
	}
	switch f.Order.Kind {
	case plan.Rows:
		return f.Order.Rows, nil
	case plan.Scrap:
		return scrap(f, path, distinct(cloths))
	default:
		return fill(f, func(r, c int, _ [][]string) string { return cloths[(r+c)%len(cloths)] }), nil
	}
}

func fill(f plan.Face, pick func(r, c int, done [][]string) string) [][]string {
	rows := make([][]string, f.Rows)
	for r := range rows {
		rows[r] = make([]string, f.Columns)
		for c := range rows[r] {
			rows[r][c] = pick(r, c, rows)
		}
	}
	return rows
}

// scrap mixes the cloths by the seed, nothing like its neighbour to the left
// or above, and each cloth about as often as any other. Two neighbours forbid
// at most two cloths, and with two cloths they forbid the same one, so only a
// single cloth cannot be kept apart.
func scrap(f plan.Face, path string, cloths []string) ([][]string, finding.List) {
	var found finding.List
	if len(cloths) == 1 && f.Rows*f.Columns > 1 {
		found.Add(finding.Note, "like-neighbours", path+"/cloths", "With one cloth every patch lies beside its like.", "Name a second cloth.")
		return fill(f, func(int, int, [][]string) string { return cloths[0] }), found
	}
	random := rand.New(rand.NewPCG(uint64(f.Seed), 0x756d7363686c6167))
	used := map[string]int{}
	return fill(f, func(r, c int, done [][]string) string {
		best, score := "", 0.0
		for _, cloth := range cloths {
			if (c > 0 && done[r][c-1] == cloth) || (r > 0 && done[r-1][c] == cloth) {
				continue
			}
			if s := float64(used[cloth]) + 1.5*random.Float64(); best == "" || s < score {
				best, score = cloth, s
			}
		}
		used[best]++
		return best
	}), found
}

func distinct(list []string) []string {
	var out []string
	seen := map[string]bool{}
	for _, s := range list {
		if !seen[s] {
			seen[s] = true
			out = append(out, s)
		}
	}
	return out
}
