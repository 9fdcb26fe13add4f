// Command umschlag plans pieced and quilted cover fronts and layered shells.
package main

import (
	"context"
	"errors"
	"fmt"
	"os"
	"os/signal"
	"syscall"

	"github.com/spf13/cobra"
)

// codeError ends the program with a code of its own.
type codeError struct {
	code int
	err  error
}

func (e *codeError) Error() string { return e.err.Error() }

func main() {
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	code := run(ctx)
	stop()
	os.Exit(code)
}

func run(ctx context.Context) int {
	err := root().ExecuteContext(ctx)
	var coded *codeError
	switch {
	case err == nil:
		return 0
	case errors.As(err, &coded):
		if coded.err != nil {
			fmt.Fprintln(os.Stderr, coded.err)
		}
		return coded.code
	default:
		fmt.Fprintln(os.Stderr, "umschlag:", err)
		return 1
	}
}

func root() *cobra.Command {
	cmd := &cobra.Command{Use: "umschlag", Short: "Plan covers: measure, cut, sew, log", SilenceUsage: true,
		SilenceErrors:     true,
		CompletionOptions: cobra.CompletionOptions{DisableDefaultCmd: true}}
	cmd.AddCommand(serveCommand(), demoCommand(), reckonCommand(), backupCommand(), restoreCommand())
	return cmd
}
