package web

import (
	"bytes"
	"context"
	"net/http"
	"sync"
	"sync/atomic"
	"time"

	"github.com/labstack/echo/v5"

	"umschlag/store"
)

// mostAnswers is how many bytes of answers are kept, and tooLate how long one takes of which it is not sure that it was
// worked out to its end.
const (
	mostAnswers = 32 << 20
	besides     = 1 << 10 // what is kept of an answer beside its body, roughly
	tooLate     = longestLook / 4
)

// answers are those given since anything was stored, as they went over the network.
type answers struct {
	store *store.Store
	lock  sync.Mutex
	// changes is how often the store was written to when they were given.
	changes int64
	given   map[string]given
	size    int
}

type given struct {
	header http.Header
	body   []byte
}

func newAnswers(s *store.Store) *answers { return &answers{store: s, given: map[string]given{}} }

// unfinishedKey is where a request is told that its answer was not worked out to its end.
type unfinishedKey struct{}

// unfinished tells that what is answered was not worked out to its end: it is not given again.
func unfinished(ctx context.Context) {
	if short, ok := ctx.Value(unfinishedKey{}).(*atomic.Bool); ok {
		short.Store(true)
	}
}

// again gives an answer again that was given since anything was stored.
func (a *answers) again(next echo.HandlerFunc) echo.HandlerFunc {
	return func(c *echo.Context) error {
		r := c.Request()
		key := r.Header.Get("Accept-Encoding") + " " + r.URL.RequestURI()
		changes := a.store.Changes() // before it is read: what is stored meanwhile is read the next time
		if known, ok := a.known(key, changes); ok && a.store.Alive() == nil {
			for name, values := range known.header {
				c.Response().Header()[name] = values
			}
			c.Response().WriteHeader(http.StatusOK)
			_, err := c.Response().Write(known.body)
			return err
		}
		short := new(atomic.Bool)
		c.SetRequest(r.WithContext(context.WithValue(r.Context(), unfinishedKey{}, short)))
		taken, out := time.Now(), c.Response()
		record := &recorded{ResponseWriter: out, status: http.StatusOK}
		c.SetResponse(record)
		err := next(c)
		c.SetResponse(out)
		whole := r.Context().Err() == nil && !short.Load() && out.Header().Get("Retry-After") == ""
		if err == nil && record.status == http.StatusOK && whole && time.Since(taken) < tooLate {
			a.keep(key, changes, given{header: record.saved, body: record.body.Bytes()})
		}
		return err
	}
}

func (a *answers) known(key string, changes int64) (given, bool) {
	a.lock.Lock()
	defer a.lock.Unlock()
	g, ok := a.given[key]
	return g, ok && a.changes == changes
}

func (a *answers) keep(key string, changes int64, g given) {
	a.lock.Lock()
	defer a.lock.Unlock()
	if changes < a.changes {
		return // something was stored meanwhile
	}
	if a.changes != changes || a.size > mostAnswers {
		clear(a.given)
		a.changes, a.size = changes, 0
	}
	a.given[key] = g
	a.size += len(g.body) + len(key) + besides
}

// recorded is an answer that is kept as it is given.
type recorded struct {
	http.ResponseWriter
	status int
	saved  http.Header
	body   bytes.Buffer
}

// Unwrap is the writer underneath.
func (r *recorded) Unwrap() http.ResponseWriter { return r.ResponseWriter }

// WriteHeader notes the status, and the headers that tell how to read the body.
func (r *recorded) WriteHeader(status int) {
	r.note(status)
	r.ResponseWriter.WriteHeader(status)
}

// Write notes the body.
func (r *recorded) Write(data []byte) (int, error) {
	if r.saved == nil {
		r.note(http.StatusOK)
	}
	r.body.Write(data)
	return r.ResponseWriter.Write(data)
}

func (r *recorded) note(status int) {
	r.status, r.saved = status, http.Header{}
	for _, name := range []string{"Content-Type", "Content-Encoding", "Vary"} {
		if values := r.Header()[name]; values != nil {
			r.saved[name] = values
		}
	}
}
