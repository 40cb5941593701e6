<?php

declare(strict_types=1);

namespace Tests\Core\Wording;

use Cathedra\Core\Wording\Language;
use Cathedra\Core\Wording\Phrasebook;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Yaml\Yaml;

/** Another language needs a file only; a file that cannot be used says where and why. */
final class LanguageTest extends TestCase
{
    private const WHOLE = [
        'ends' => ['top' => 'far end', 'bottom' => 'near end'],
        'numbers' => ['2' => 'Two'],
        'looks' => [
            'loose' => '{places, plural, one {{count} points at the {ends}.} other {{count} each at the {ends}.}}',
            'pocket' => 'A pocket opens at the {ends}.',
        ],
        'manners' => ['wall' => ['ends' => ['top' => 'top']]],
    ];

    private const GERMAN = <<<'YAML'
        ends:
          top: fernen Ende
          bottom: nahen Ende
        numbers:
          '2': Zwei
          '12': Zwölf
        looks:
          loose: '{places, plural, one {{count} Spitzen am {ends}.} other {Je {count} Spitzen am {ends}.}}'
          pocket: Am {ends} öffnet sich eine Tasche.
        manners:
          wall:
            ends:
              top: oberen Ende
        YAML;

    public function testWhatIsShippedIsWholeAndEveryPhraseIsAMessage(): void
    {
        $file = dirname(__DIR__, 3).'/library/wording/en.yaml';
        self::assertSame([], Language::problems('en', (string) file_get_contents($file), Yaml::parseFile($file)));
    }

    public function testAFileIsALanguage(): void
    {
        self::assertSame([], Language::problems('de', self::GERMAN, self::WHOLE));
        $words = new Phrasebook(Yaml::parse(self::GERMAN), language: 'de');
        self::assertSame(
            ['Zwei Spitzen am fernen Ende.', 'Je Zwei Spitzen am fernen Ende.'],
            array_map(static fn (int $places): string => $words->say('looks', 'loose', [
                'places' => $places,
                'count' => $words->number(2),
                'ends' => $words->say('ends', 'top'),
            ]), [1, 2]),
        );
    }

    /** @return iterable<string, array{array<string, string>, string}> what is changed in the file, what is said */
    public static function faults(): iterable
    {
        yield 'an unknown key near a known one' => [
            ['  pocket:' => '  pokket:'],
            'Line 9: nobody says looks.pokket; is "pocket" meant?',
        ];
        yield 'an unknown section' => [['numbers:' => "endings:\n  x: y\nnumbers:"], 'Line 4: nobody says endings; '];
        yield 'an unknown key in a manner' => [
            ['      top: oberen' => '      sideways: oberen'],
            'Line 13: nobody says manners.wall.ends.sideways; take it out',
        ];
        yield 'a key missing' => [['  bottom: nahen Ende' => ''], 'Line 1: ends.bottom is missing; '];
        yield 'a placeholder nobody fills in' => [
            ['Am {ends} öffnet' => 'Am {ende} öffnet'],
            'Line 9: looks.pocket speaks of {ende}, which nobody fills in; it may use: ends.',
        ];
        yield 'no message' => [['Am {ends} öffnet' => 'Am {ends öffnet'], 'Line 9: looks.pocket is no ICU message: '];
        yield 'a plural without other' => [
            ['other {Je {count} Spitzen am {ends}.}' => ''],
            'Line 8: looks.loose is no ICU message: ',
        ];
        yield 'a list for a phrase' => [
            ['Am {ends} öffnet sich eine Tasche.' => '[a, b]'],
            'Line 9: looks.pocket is a phrase',
        ];
        yield 'no YAML' => [['ends:' => 'ends: ['], 'this is not YAML'];
    }

    /** @param  array<string, string>  $change */
    #[DataProvider('faults')]
    public function testWhatAFileMayNotSay(array $change, string $said): void
    {
        $file = strtr(self::GERMAN, $change);
        self::assertNotSame(self::GERMAN, $file, 'the change is one');
        $problems = Language::problems('de', $file, self::WHOLE);
        self::assertStringContainsString($said, implode("\n", $problems));
    }

    public function testTextAloneIsNoLanguage(): void
    {
        self::assertStringContainsString('sections', Language::problems('de', 'Guten Tag', self::WHOLE)[0]);
    }
}
