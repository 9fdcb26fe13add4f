package web

import (
	"context"
	"fmt"
	"sync"

	"umschlag/core/compare"
	"umschlag/format/planfile"
)

// pastSeams keeps what the gates of each plan tell of seams, by its revision: a plan is
// looked through once.
type pastSeams struct {
	sync.Mutex
	known map[string][]float64
}

// past are the errors of seams at the gates of all plans, by their titles.
func (s *server) past(ctx context.Context) (map[string][]float64, error) {
	plans, err := s.store.Plans(ctx)
	if err != nil {
		return nil, err
	}
	s.seams.Lock()
	defer s.seams.Unlock()
	known, out := map[string][]float64{}, map[string][]float64{}
	for _, stored := range plans {
		key := fmt.Sprintf("%s/%d", stored.ID, stored.Revision)
		errors, seen := s.seams.known[key]
		if !seen {
			if p, err := planfile.Read([]byte(stored.Doc)); err == nil { // one that cannot be read says so on the shelf
				errors = compare.PastSeams(p)
			}
		}
		known[key] = errors
		if len(errors) > 0 {
			out[stored.Title] = errors
		}
	}
	s.seams.known = known
	return out, nil
}
