<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Facebook\WebDriver\Chrome\ChromeDriver;

/** What the browser's print makes of a page, read back by poppler's tools. */
final readonly class Pdf
{
    private function __construct(private string $file)
    {
    }

    public static function of(ChromeDriver $driver): self
    {
        $answer = (new ChromeDevToolsDriver($driver))->execute('Page.printToPDF', [
            'preferCSSPageSize' => true,
            'printBackground' => true,
        ]);
        $file = tempnam(sys_get_temp_dir(), 'cathedra-pdf');
        file_put_contents($file, base64_decode((string) $answer['data'], true));

        return new self($file);
    }

    public function __destruct()
    {
        unlink($this->file);
    }

    /** @return list<array{float, float}> width and height of each page in mm, rounded */
    public function pages(): array
    {
        preg_match_all('/size:\s+([\d.]+) x ([\d.]+) pts/', $this->run('pdfinfo -l 999 %s'), $sizes, PREG_SET_ORDER);

        return array_map(
            static fn (array $s): array => [round((float) $s[1] * 25.4 / 72), round((float) $s[2] * 25.4 / 72)],
            $sizes,
        );
    }

    /** The text of one page, or of all, with plain spaces. */
    public function text(?int $page = null): string
    {
        $range = $page === null ? '' : "-f $page -l $page ";

        return trim((string) preg_replace('/\s+/', ' ', $this->run("pdftotext $range-layout %s -")));
    }

    /** @return list<float> of each page the darkest dot within so many mm of its edges, 0 black to 255 white */
    public function darkestAtTheEdge(float $mm): array
    {
        $dpi = 50;
        $name = $this->file.'-page';
        $this->run("pdftoppm -gray -r $dpi %s ".escapeshellarg($name));
        $band = (int) floor($mm / 25.4 * $dpi);
        $darkest = [];
        foreach (glob("$name*.pgm") ?: [] as $image) {
            $darkest[] = self::edge((string) file_get_contents($image), $band);
            unlink($image);
        }

        return $darkest;
    }

    private static function edge(string $pgm, int $band): float
    {
        preg_match('/^P5\s+(\d+)\s+(\d+)\s+255\s/', $pgm, $head) === 1
            || throw new \RuntimeException('pdftoppm made no grey picture.');
        [$width, $height] = [(int) $head[1], (int) $head[2]];
        $dots = substr($pgm, strlen($head[0]));
        $darkest = 255;
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                $inside = $x >= $band && $x < $width - $band && $y >= $band && $y < $height - $band;
                $darkest = $inside ? $darkest : min($darkest, ord($dots[$y * $width + $x]));
            }
        }

        return (float) $darkest;
    }

    private function run(string $command): string
    {
        exec(sprintf($command, escapeshellarg($this->file)).' 2>&1', $lines, $code);

        return $code === 0 ? implode("\n", $lines) : throw new \RuntimeException(implode("\n", $lines));
    }
}
