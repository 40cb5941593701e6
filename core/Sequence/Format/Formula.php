<?php

declare(strict_types=1);

namespace Cathedra\Core\Sequence\Format;

use Symfony\Component\ExpressionLanguage\ExpressionLanguage;
use Symfony\Component\ExpressionLanguage\Node\BinaryNode;
use Symfony\Component\ExpressionLanguage\Node\ConstantNode;
use Symfony\Component\ExpressionLanguage\Node\FunctionNode;
use Symfony\Component\ExpressionLanguage\Node\NameNode;
use Symfony\Component\ExpressionLanguage\Node\Node;
use Symfony\Component\ExpressionLanguage\Node\UnaryNode;
use Symfony\Component\ExpressionLanguage\SyntaxError;

/**
 * A size or volume of a form that is not flat, in the sheet's sides: s (the shorter side), w and h (width and height of
 * the sheet as the sequence gives it), all in mm. Only numbers, + - * / **, brackets and sqrt() are read; anything else
 * is refused before it is evaluated.
 */
final readonly class Formula
{
    private const NAMES = ['s', 'w', 'h'];

    private const SIGNS = ['+', '-', '*', '/', '**'];

    private function __construct(public string $text)
    {
    }

    /** @throws \InvalidArgumentException naming what is not allowed */
    public static function of(string $text): self
    {
        if (mb_strlen($text) > 120) {
            throw new \InvalidArgumentException('a formula has at most 120 characters');
        }
        try {
            self::allow(self::language()->parse($text, self::NAMES)->getNodes());
        } catch (SyntaxError $e) {
            throw new \InvalidArgumentException('"'.$text.'" cannot be read: '.$e->getMessage(), 0, $e);
        }

        return new self($text);
    }

    /**
     * @param  float  $width  of the sheet, mm
     * @return float mm, mm2 or mm3, whatever the formula means
     *
     * @throws \InvalidArgumentException when the result is no positive number
     */
    public function value(float $width, float $height): float
    {
        try {
            $value = self::language()->evaluate($this->text, [
                's' => min($width, $height),
                'w' => $width,
                'h' => $height,
            ]);
        } catch (\DivisionByZeroError) {
            $value = null;
        }
        if (! is_numeric($value) || ! is_finite((float) $value) || $value <= 0) {
            throw new \InvalidArgumentException('"'.$this->text.'" gives no positive number');
        }

        return (float) $value;
    }

    private static function language(): ExpressionLanguage
    {
        static $language = null;
        if (! ($language instanceof ExpressionLanguage)) {
            $language = new ExpressionLanguage();
            $language->register(
                'sqrt',
                static fn (string $x): string => "sqrt($x)",
                static fn (array $_, mixed $x): float => is_numeric($x) && $x >= 0 ? sqrt((float) $x) : NAN,
            );
        }

        return $language;
    }

    private static function allow(Node $node): void
    {
        $fine = match (true) {
            $node instanceof ConstantNode => is_int($node->attributes['value']) ||
                is_float($node->attributes['value']) ||
                $node->attributes['value'] === 'sqrt',
            $node instanceof NameNode => in_array($node->attributes['name'], self::NAMES, true),
            $node instanceof FunctionNode => $node->attributes['name'] === 'sqrt',
            $node instanceof BinaryNode => in_array($node->attributes['operator'], self::SIGNS, true),
            $node instanceof UnaryNode => in_array($node->attributes['operator'], ['+', '-'], true),
            default => $node::class === Node::class,
        };
        if (! $fine) {
            throw new \InvalidArgumentException(
                'a formula has numbers, s, w, h, + - * / **, brackets and sqrt(), nothing else',
            );
        }
        foreach ($node->nodes as $child) {
            if ($child instanceof Node) {
                self::allow($child);
            }
        }
    }
}
