package web

import (
	"context"

	"umschlag/core/answer"

	"github.com/labstack/echo/v5"

	"umschlag/core/length"
	"umschlag/format/listcsv"
)

// cutsFile answers the cuts of a plan as a table, and stepsFile its steps.
func (s *server) cutsFile(c *echo.Context) error { return s.listFile(c, "cuts", listcsv.Cuts) }

func (s *server) stepsFile(c *echo.Context) error { return s.listFile(c, "steps", listcsv.Steps) }

func (s *server) listFile(c *echo.Context, what string, of func(answer.Reckoning, length.Unit) listcsv.Table) error {
	stored, view, p, err := s.cuttable(c)
	if err != nil {
		return err
	}
	return s.tableFile(c, stored.ID+"-"+what+".csv",
		func(context.Context, shop) ([]byte, error) { return of(view.Reckoning, p.Style().Unit).Write() })
}
