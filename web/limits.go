package web

import (
	"net"
	"net/http"
	"time"

	"github.com/labstack/echo/v5"
	"github.com/labstack/echo/v5/middleware"
)

// limits are how often one browser asks for something, by what it asks of this computer.
type limits struct{ looks, changes, files echo.MiddlewareFunc }

// often is so many a second, and so many more at once: several times what a person does who types fast with all
// places open, and nothing that a broken page or script can keep the others from their work with.
type often struct {
	second float64
	burst  int
}

// limitsOf limits nobody where only this computer reaches the app.
func limitsOf(cfg Config) limits {
	if cfg.AccessKey == "" {
		free := func(next echo.HandlerFunc) echo.HandlerFunc { return next }
		return limits{looks: free, changes: free, files: free}
	}
	return limits{looks: limited(often{50, 300}), changes: limited(often{20, 100}), files: limited(often{2, 40})}
}

// limited keeps one browser to so often, and tells it when to go on.
func limited(o often) echo.MiddlewareFunc {
	seen := middleware.NewRateLimiterMemoryStoreWithConfig(middleware.RateLimiterMemoryStoreConfig{
		Rate: o.second, Burst: o.burst, ExpiresIn: time.Minute})
	return middleware.RateLimiterWithConfig(middleware.RateLimiterConfig{Store: seen, IdentifierExtractor: browser,
		DenyHandler: func(c *echo.Context, _ string, _ error) error {
			c.Response().Header().Set("Retry-After", "5")
			return echo.NewHTTPError(http.StatusTooManyRequests,
				"This browser asks for more than the app gives to one. Nothing is lost; wait a moment, then go on.")
		}})
}

// browser is who asks: by what it was let in with, which the door has looked at, since behind a proxy all come from one
// address.
func browser(c *echo.Context) (string, error) {
	if cookie, err := c.Request().Cookie(cookieName); err == nil {
		return cookie.Value, nil
	}
	host, _, err := net.SplitHostPort(c.Request().RemoteAddr)
	return host, err
}
