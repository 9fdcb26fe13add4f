package web

import (
	"net/http"

	"github.com/labstack/echo/v5"

	"umschlag/core/reckon"
)

// fold answers a plan file with how its cover folds.
func (s *server) fold(c *echo.Context) error {
	p, err := planIn(c)
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, reckon.Folded(p))
}
