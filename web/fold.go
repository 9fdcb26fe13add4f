package web

import (
	"io"
	"net/http"

	"github.com/labstack/echo/v5"

	"umschlag/core/reckon"
	"umschlag/format/planfile"
)

// fold answers a plan file with how its cover folds.
func (s *server) fold(c *echo.Context) error {
	data, err := io.ReadAll(c.Request().Body)
	if err != nil {
		return err
	}
	p, err := planfile.Read(data)
	if err != nil {
		return err
	}
	return c.JSON(http.StatusOK, reckon.Folded(p))
}
