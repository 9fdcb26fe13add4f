package web

import (
	"net/http"
	"time"

	"github.com/labstack/echo/v5"
)

// longestQueue is how long a request waits for its turn before it is told that the app is busy.
const longestQueue = 30 * time.Second

// byTurns lets no more be worked out at once than there are cores: the rest waits for its turn, or is told that the app
// is busy. Whoever leaves meanwhile waits no longer.
func byTurns(places chan struct{}, longest time.Duration) echo.MiddlewareFunc {
	return func(next echo.HandlerFunc) echo.HandlerFunc {
		return func(c *echo.Context) error {
			select {
			case places <- struct{}{}:
			default:
				late := time.NewTimer(longest)
				defer late.Stop()
				select {
				case places <- struct{}{}:
				case <-c.Request().Context().Done():
					return c.Request().Context().Err()
				case <-late.C:
					c.Response().Header().Set("Retry-After", "5")
					return echo.NewHTTPError(http.StatusServiceUnavailable,
						"The app has more to work out than this computer can do at once. Nothing is lost; try it again in a moment.")
				}
			}
			defer func() { <-places }()
			return next(c)
		}
	}
}
