package web

import (
	"net/http"

	"umschlag/core/show"

	"github.com/labstack/echo/v5"
)

// fold answers a plan file with how its cover folds.
func (s *server) fold(c *echo.Context) error {
	p, err := planIn(c)
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, show.Folded(p))
}
