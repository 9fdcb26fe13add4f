package web

import (
	"fmt"
	"net/http"

	"github.com/labstack/echo/v5"

	"umschlag/store"
)

// onceHeader names what is to be made, by the asker's own id: of the draft "The Idempotency-Key HTTP Header Field" of
// the IETF, as remembered.
const onceHeader = "Idempotency-Key"

// madeOnce makes what is asked for again under the same id once.
func madeOnce(next echo.HandlerFunc) echo.HandlerFunc {
	return func(c *echo.Context) error {
		id := c.Request().Header.Get(onceHeader)
		if id == "" {
			return next(c)
		}
		if len(id) > longestSave {
			return echo.NewHTTPError(http.StatusBadRequest,
				fmt.Sprintf("What is to be made is named by up to %d characters.", longestSave))
		}
		c.SetRequest(c.Request().WithContext(store.Once(c.Request().Context(), id)))
		return next(c)
	}
}
