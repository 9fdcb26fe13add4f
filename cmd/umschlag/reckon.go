package main

import (
	"context"
	"encoding/json"
	"fmt"
	"io"
	"os"

	"github.com/spf13/cobra"

	"umschlag/core/answer"
	"umschlag/core/finding"
	"umschlag/format/planfile"
)

func reckonCommand() *cobra.Command {
	return &cobra.Command{Use: "reckon FILE",
		Short: "Read a plan file (- for standard input) and print its reckoning as JSON",
		Long:  "Exit code 0: reckoned. 2: reckoned, with findings that forbid cutting. 1: the file cannot be read.",
		Args:  cobra.ExactArgs(1),
		RunE: func(cmd *cobra.Command, args []string) error {
			data, err := readInput(cmd.InOrStdin(), args[0])
			if err != nil {
				return err
			}
			r, err := unless(cmd.Context(), func() (answer.Reckoning, error) { return planfile.Remedied(data, nil) })
			if err != nil {
				return fmt.Errorf("%s: %w", args[0], err)
			}
			out := json.NewEncoder(cmd.OutOrStdout())
			out.SetIndent("", "  ")
			out.SetEscapeHTML(false)
			if err := out.Encode(r); err != nil {
				return err
			}
			if finding.List(r.Findings).Stopped() {
				return &codeError{code: 2}
			}
			return nil
		}}
}

// unless does the work, and leaves it where it stands when it is asked to stop.
func unless[T any](stop context.Context, work func() (T, error)) (T, error) {
	type done struct {
		out T
		err error
	}
	ended := make(chan done, 1)
	go func() {
		out, err := work()
		ended <- done{out, err}
	}()
	select {
	case d := <-ended:
		return d.out, d.err
	case <-stop.Done():
		var none T
		return none, stop.Err()
	}
}

// readInput reads a little more than the largest plan, so that a larger file is
// refused without being held.
func readInput(stdin io.Reader, name string) ([]byte, error) {
	in := stdin
	if name != "-" {
		f, err := os.Open(name)
		if err != nil {
			return nil, err
		}
		defer func() { _ = f.Close() }() // nothing was written
		in = f
	}
	return io.ReadAll(io.LimitReader(in, planfile.MaxSize+1))
}
