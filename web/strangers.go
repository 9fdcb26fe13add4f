package web

import (
	"log/slog"
	"net"
	"net/http"
	"sync"
	"time"

	"github.com/labstack/echo/v5"
	"golang.org/x/time/rate"
)

// Wrong keys are a slip of the hand a few times, and a guess after: so many at once from one address, and one more in
// so long. Addresses are remembered up to a number.
const (
	wrongAtOnce   = 10
	wrongEvery    = 6 * time.Second
	mostStrangers = 4096
)

// strangers are the addresses that wrong keys came from.
type strangers struct {
	lock  sync.Mutex
	tries map[string]*rate.Limiter
	now   func() time.Time
	log   *slog.Logger
}

func newStrangers(now func() time.Time, log *slog.Logger) *strangers {
	return &strangers{tries: map[string]*rate.Limiter{}, now: now, log: log}
}

// judge slows an address down after a key that is wrong; while it is, no key of it is looked at.
func (s *strangers) judge(c *echo.Context, right bool) (bool, error) {
	address := c.Request().RemoteAddr
	if host, _, err := net.SplitHostPort(address); err == nil {
		address = host
	}
	s.lock.Lock()
	defer s.lock.Unlock()
	left, known := s.tries[address]
	if known && left.TokensAt(s.now()) < 1 {
		c.Response().Header().Set("Retry-After", "60")
		return false, echo.NewHTTPError(http.StatusTooManyRequests,
			"Too many wrong keys came from there. Wait a minute, then type the key again.")
	}
	if right {
		return true, nil
	}
	if !known {
		if len(s.tries) >= mostStrangers {
			clear(s.tries)
		}
		left = rate.NewLimiter(rate.Every(wrongEvery), wrongAtOnce)
		s.tries[address] = left
	}
	left.AllowN(s.now(), 1)
	s.log.Warn("a wrong access key", "from", address)
	return false, nil
}
