<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Format;

/**
 * In which line of a YAML text a key stands. The YAML parser gives values without places; the strict loader needs
 * places for its messages. Reads block style by indentation; what stands inside a flow collection has the line of its
 * key.
 */
final class LineIndex
{
    /** @var array<string, int> path such as "steps.2.bring" => line, from 1 */
    private array $lines = [];

    private function __construct()
    {
    }

    public static function of(string $yaml): self
    {
        $self = new self();
        $open = []; // list of [indent, path, next list index]
        foreach (preg_split('/\R/', $yaml) ?: [] as $i => $text) {
            $self->read($text, $i + 1, $open);
        }

        return $self;
    }

    public function line(string $path): int
    {
        while ($path !== '' && ! isset($this->lines[$path])) {
            $path = str_contains($path, '.') ? substr($path, 0, (int) strrpos($path, '.')) : '';
        }

        return $this->lines[$path] ?? 1;
    }

    /** @param  list<array{int, string, int}>  $open */
    private function read(string $text, int $line, array &$open): void
    {
        $indent = strspn($text, ' ');
        $rest = substr($text, $indent);
        while (str_starts_with($rest, '- ') || $rest === '-') {
            $path = $this->item($indent, $line, $open);
            $shift = 1 + strspn($rest, ' ', 1);
            $open[] = [$indent, $path, -1];
            $indent += $shift;
            $rest = (string) substr($rest, $shift);
        }
        if (preg_match('/^["\']?([A-Za-z0-9_-]+)["\']?\s*:(\s|$)/', $rest, $m) === 1) {
            $this->close($open, $indent, false);
            $last = end($open);
            $path = ($last === false ? '' : $last[1].'.').$m[1];
            $this->lines[$path] ??= $line;
            $open[] = [$indent, $path, 0];
        }
    }

    /** @param  list<array{int, string, int}>  $open */
    private function item(int $indent, int $line, array &$open): string
    {
        $this->close($open, $indent, true);
        $at = count($open) - 1;
        $index = $at >= 0 ? $open[$at][2] : 0;
        $path = ($at >= 0 ? $open[$at][1].'.' : '').$index;
        if ($at >= 0) {
            $open[$at] = [$open[$at][0], $open[$at][1], $index + 1];
        }
        $this->lines[$path] = $line;

        return $path;
    }

    /**
     * Leaves what is indented as far or further; a list may stand at the indent of its key.
     *
     * @param  list<array{int, string, int}>  $open
     */
    private function close(array &$open, int $indent, bool $forItem): void
    {
        while ($open !== []) {
            [$at, , $next] = $open[count($open) - 1];
            $isItem = $next === -1;
            if ($at > $indent || ($at === $indent && ($isItem || ! $forItem))) {
                array_pop($open);
            } else {
                break;
            }
        }
    }
}
