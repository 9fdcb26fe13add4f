package web

import (
	"context"
	"net/http"
	"slices"
	"strconv"
	"sync"
	"time"

	"umschlag/core/answer"
	"umschlag/core/compare"

	"github.com/labstack/echo/v5"

	"umschlag/core/lay"
	"umschlag/core/length"
	"umschlag/format/planfile"
	"umschlag/store"
)

const (
	// searchFor is how long a search goes on at most.
	searchFor = 30 * time.Second
	// mostSearches run at a time; mostKept are remembered.
	mostSearches = 2
	mostKept     = 16
)

// AskSearch asks for a shorter lay to be looked for: of the cloth of a plan by its
// letter, or of several plans together by the cloth's name.
type AskSearch struct {
	Plan   string   `json:"plan,omitempty"`
	Letter string   `json:"letter,omitempty"`
	Plans  []string `json:"plans,omitempty"`
	Cloth  string   `json:"cloth,omitempty"`
}

// SearchView is how far a search is.
type SearchView struct {
	ID string `json:"id"`
	// Round of Rounds, and how many strips were tried so far.
	Round  int `json:"round"`
	Rounds int `json:"rounds"`
	Tried  int `json:"tried"`
	// Before is how long the lay was, Lay the shortest found so far; Over is how far it is
	// over the bound, in percent.
	Before answer.L   `json:"before"`
	Lay    answer.Lay `json:"lay"`
	Over   float64    `json:"over"`
	// Way leads to it; empty where nothing shorter was found.
	Way []int `json:"way"`
	// Done tells that it ended, Stopped that it was told to.
	Done    bool `json:"done"`
	Stopped bool `json:"stopped"`
}

// searches are those that run and the last that ran.
type searches struct {
	sync.Mutex
	next    int
	running int
	jobs    []*search
}

type search struct {
	id     string
	cancel context.CancelFunc
	style  length.Style
	before length.Length

	sync.Mutex
	found   lay.Found
	done    bool
	stopped bool
}

// begin starts a search, or says that too many run.
func (s *searches) begin(n compare.Needs, style length.Style) (*search, bool) {
	s.Lock()
	defer s.Unlock()
	if s.running >= mostSearches {
		return nil, false
	}
	s.running++
	s.next++
	// It goes on when the request that asked for it is answered.
	ctx, cancel := context.WithTimeout(context.Background(), searchFor)
	before, _ := lay.Of(n.Items, n.On)
	job := &search{id: strconv.Itoa(s.next), cancel: cancel, style: style, before: before.Length,
		found: lay.Found{Lay: before}}
	s.jobs = append(s.jobs[max(0, len(s.jobs)+1-mostKept):], job)
	go func() {
		job.run(ctx, n)
		s.Lock()
		defer s.Unlock()
		s.running--
	}()
	return job, true
}

func (j *search) run(ctx context.Context, n compare.Needs) {
	defer j.cancel()
	last := lay.Search(n.Items, n.On, func(f lay.Found) bool {
		j.Lock()
		defer j.Unlock()
		j.found = f
		return ctx.Err() == nil
	})
	j.Lock()
	defer j.Unlock()
	j.found, j.done = last, true
}

func (s *searches) find(id string) (*search, error) {
	s.Lock()
	defer s.Unlock()
	i := slices.IndexFunc(s.jobs, func(j *search) bool { return j.id == id })
	if i < 0 {
		return nil, store.ErrNotFound
	}
	return s.jobs[i], nil
}

func (j *search) view() SearchView {
	j.Lock()
	defer j.Unlock()
	v := SearchView{ID: j.id, Round: j.found.Round, Rounds: j.found.Rounds, Tried: j.found.Tried,
		Before: answer.Show(j.before, j.style), Lay: answer.ShowLay(j.found.Lay, j.style),
		Way: j.found.Way, Done: j.done, Stopped: j.stopped}
	if v.Way == nil {
		v.Way = []int{}
	}
	if b := j.found.Lay.Bound; b > 0 {
		v.Over = 100 * (j.found.Lay.Length.Float()/b.Float() - 1)
	}
	return v
}

// startSearch looks for a shorter lay while other requests are answered.
func (s *server) startSearch(c *echo.Context) error {
	ctx := c.Request().Context()
	var in AskSearch
	if err := decode(c, &in); err != nil {
		return err
	}
	sh, err := s.shop(ctx)
	if err != nil {
		return err
	}
	var n compare.Needs
	style := sh.style()
	if in.Plan != "" {
		n, style, err = s.needsOf(ctx, in.Plan, in.Letter)
	} else {
		var t together
		t, err = s.together(ctx, in.Cloth, in.Plans)
		n = t.Needs
	}
	if err != nil {
		return err
	}
	job, ok := s.searches.begin(n, style)
	if !ok {
		return echo.NewHTTPError(http.StatusTooManyRequests, "Two searches run already. Stop one, or wait for it.")
	}
	return c.JSON(http.StatusAccepted, job.view())
}

// needsOf are the pieces of a stored plan for the cloth of a letter.
func (s *server) needsOf(ctx context.Context, id, letter string) (compare.Needs, length.Style, error) {
	stored, err := s.store.Plan(ctx, id)
	if err != nil {
		return compare.Needs{}, length.Style{}, err
	}
	p, err := planfile.Read([]byte(stored.Doc))
	if err != nil {
		return compare.Needs{}, length.Style{}, err
	}
	w, err := s.workshop(ctx, id)
	if err != nil {
		return compare.Needs{}, length.Style{}, err
	}
	n, ok := compare.NeedsOf(p, w, letter)
	if !ok {
		return n, length.Style{}, store.ErrNotFound
	}
	return n, p.Settle().Style(), nil
}

func (s *server) searchView(c *echo.Context) error {
	job, err := s.searches.find(c.Param("id"))
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, job.view())
}

// stopSearch ends a search; what it found so far stays.
func (s *server) stopSearch(c *echo.Context) error {
	job, err := s.searches.find(c.Param("id"))
	if err != nil {
		return err
	}
	job.Lock()
	job.stopped = job.stopped || !job.done
	job.Unlock()
	job.cancel()
	return c.NoContent(http.StatusNoContent)
}
