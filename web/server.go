// Package web is the HTTP side of the app: routes, errors as problem+json and
// the safety rules. It serves the built user interface and holds no rule of the
// trade.
package web

import (
	"cmp"
	"context"
	"crypto/tls"
	"fmt"
	"log/slog"
	"net"
	"net/http"
	"runtime"
	"sync"
	"time"

	"github.com/labstack/echo/v5"
	"github.com/labstack/echo/v5/middleware"

	"umschlag/device/bench"
	"umschlag/store"
)

// maxBody is the largest request read, in bytes; a plan is at most half of it.
const maxBody = 2 << 20

// healthPath answers when the app is ready.
const healthPath = "/healthz"

// Config of a server.
type Config struct {
	Store *store.Store
	Log   *slog.Logger
	// Hosts are the names the server may be called by, besides loopback.
	Hosts []string
	// AccessKey is asked for once a browser; it may be empty on loopback only.
	AccessKey string
	// Secure tells that the app is reached over TLS, its own or a proxy's, and Fingerprint is that of its own
	// certificate.
	Secure      bool
	Fingerprint string
	// Now is the clock; that of the machine when nil.
	Now func() time.Time
	// Patience is how long the shelf waits for plans to be worked out, a second when 0.
	Patience time.Duration
	// Quiet is how long nothing is changed before what is not known yet is worked out unasked, three seconds when 0.
	Quiet time.Duration
	// Longest is how long somebody waits for one plan to be worked out, eight seconds when 0.
	Longest time.Duration
	// Bench holds the devices; the stand-ins when nil.
	Bench *bench.Bench
}

type server struct {
	// door lets others in; nil where nobody else can reach the app.
	door        *door
	fingerprint string
	seams       pastSeams
	// unpacking holds a place for each picture that may be unpacked at once.
	unpacking chan struct{}
	// becoming holds a place for each search for what cloth can become.
	becoming chan struct{}
	memory   memory
	// patience is how long the shelf waits, and catching is held by who works out what it did not wait for; longest is
	// how long somebody waits for one plan.
	patience, longest time.Duration
	// quiet is how long nothing is changed before idle works out what is not known yet.
	quiet    time.Duration
	idle     *time.Timer
	catching sync.Mutex
	searches searches
	bench    *bench.Bench
	store    *store.Store
	log      *slog.Logger
	now      func() time.Time
}

// New returns the handler of the whole app.
func New(cfg Config) http.Handler {
	s := &server{store: cfg.Store, log: cfg.Log, now: cfg.Now, bench: cfg.Bench,
		unpacking: make(chan struct{}, runtime.GOMAXPROCS(0)), becoming: make(chan struct{}, mostBecoming)}
	s.store.Following(followed)
	if s.bench == nil {
		s.bench = standIns()
	}
	if s.now == nil {
		s.now = time.Now
	}
	s.patience = cmp.Or(cfg.Patience, shelfPatience)
	s.longest = cmp.Or(cfg.Longest, longestLook)
	s.quiet = cmp.Or(cfg.Quiet, usuallyQuiet)
	s.idle = time.AfterFunc(s.quiet, s.catchUp)
	e := echo.New()
	e.Logger = cfg.Log
	e.HTTPErrorHandler = s.fail
	e.Use(middleware.Recover())
	e.Use(secureHeaders)
	e.Use(guardHost(cfg.Hosts))
	e.Use(guardOrigin())
	e.Use(middleware.BodyLimitWithConfig(middleware.BodyLimitConfig{LimitBytes: maxBody, Skipper: large}))
	e.GET(healthPath, s.health)
	if s.fingerprint = cfg.Fingerprint; cfg.AccessKey != "" {
		s.door = newDoor(cfg, s.now)
		e.Use(s.door.guard)
		e.GET(enterPath, s.door.page)
		e.POST(enterPath, s.door.enter)
	}
	s.routes(e, limitsOf(cfg))
	page := ui(s.firstAsks)
	for _, at := range []string{"/plans/:id", "/plans/:id/*", "/*"} {
		e.GET(at, page)
	}
	return e
}

// health answers while what is saved is kept.
func (s *server) health(c *echo.Context) error {
	if err := s.store.Alive(); err != nil {
		return err
	}
	return c.String(http.StatusOK, "ok\n")
}

// Listen opens the address and refuses one that others can reach without an access key, or without TLS: the key would
// be read on its way. own is the app's own, with a certificate for its names; nil where a proxy in front of it speaks
// it.
func Listen(ctx context.Context, address, key string, own *tls.Config, proxied bool) (net.Listener, error) {
	l, err := (&net.ListenConfig{}).Listen(ctx, "tcp", address)
	if err != nil {
		return nil, fmt.Errorf("listen on %s: %w", address, err)
	}
	tcp, ok := l.Addr().(*net.TCPAddr)
	local := ok && tcp.IP.IsLoopback()
	switch {
	case !local && key == "":
		_ = l.Close()
		return nil, fmt.Errorf("%s can be reached by others: give an access key with --access-key-file, or listen on 127.0.0.1", address)
	case own != nil:
		return tls.NewListener(l, own), nil
	case !local && !proxied:
		_ = l.Close()
		return nil, fmt.Errorf("%s can be reached by others, who would read the access key on its way: let the app speak TLS with --tls, or say --behind-proxy where a proxy in front of it does", address)
	}
	return l, nil
}

// Serve answers on l until ctx is done, then lets requests finish.
func Serve(ctx context.Context, l net.Listener, h http.Handler) error {
	return echo.StartConfig{
		HideBanner: true, HidePort: true, Listener: l, GracefulTimeout: 5 * time.Second,
		BeforeServeFunc: func(s *http.Server) error {
			// A browser that does not trust the certificate yet hangs up: that is no fault of anybody.
			s.ErrorLog = slog.NewLogLogger(slog.Default().Handler(), slog.LevelDebug)
			s.ReadHeaderTimeout = 5 * time.Second
			s.ReadTimeout = 15 * time.Second
			s.WriteTimeout = 30 * time.Second
			s.IdleTimeout = 60 * time.Second
			s.MaxHeaderBytes = 32 << 10
			return nil
		},
	}.Start(ctx, h)
}
