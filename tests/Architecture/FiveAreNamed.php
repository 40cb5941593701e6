<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpParser\Node;
use PhpParser\Node\Arg;
use PhpParser\Node\Expr\CallLike;
use PhpParser\Node\Expr\MethodCall;
use PhpParser\Node\Expr\New_;
use PhpParser\Node\Expr\StaticCall;
use PhpParser\Node\Identifier;
use PhpParser\Node\Name;
use PHPStan\Analyser\Scope;
use PHPStan\Reflection\ClassReflection;
use PHPStan\Reflection\ExtendedMethodReflection;
use PHPStan\Reflection\ParameterReflection;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;

/**
 * Five arguments or more of our own methods are named: nobody counts to thirty to see which of two strings is which.
 * Run by PHPStan.
 *
 * @implements Rule<CallLike>
 */
final class FiveAreNamed implements Rule
{
    private const MANY = 5;

    private const OURS = ['Cathedra\\', 'App\\', 'Database\\', 'Tests\\', 'Bin\\'];

    public function getNodeType(): string
    {
        return CallLike::class;
    }

    public function processNode(Node $node, Scope $scope): array
    {
        if ($node->isFirstClassCallable() || count($node->getArgs()) < self::MANY) {
            return [];
        }
        $bare = array_filter($node->getArgs(), static fn (Arg $arg): bool => $arg->name === null && ! $arg->unpack);
        $method = $bare === [] ? null : self::method($node, $scope);
        if ($method === null || ! self::isOurs($method->getDeclaringClass())) {
            return [];
        }
        $parameters = $method->getVariants()[0]->getParameters();
        $isOpen = array_filter($parameters, static fn (ParameterReflection $p): bool => $p->isVariadic()) !== [];
        if ($isOpen || count($node->getArgs()) > count($parameters)) {
            return []; // as many as one likes
        }
        $names = array_map(static fn (ParameterReflection $p): string => $p->getName(), $parameters);

        return [
            RuleErrorBuilder::message(sprintf(
                'Name the arguments of %s(): %s.',
                $method->getName(),
                implode(', ', $names),
            ))->identifier('cathedra.fiveAreNamed')->build(),
        ];
    }

    private static function method(CallLike $node, Scope $scope): ?ExtendedMethodReflection
    {
        if ($node instanceof New_ && $node->class instanceof Name) {
            return $scope->resolveTypeByName($node->class)->getClassReflection()?->hasConstructor() === true
                ? $scope->resolveTypeByName($node->class)->getClassReflection()->getConstructor()
                : null;
        }
        if (! ($node instanceof MethodCall || $node instanceof StaticCall) || ! ($node->name instanceof Identifier)) {
            return null;
        }
        $of = match (true) {
            $node instanceof MethodCall => $scope->getType($node->var),
            $node->class instanceof Name => $scope->resolveTypeByName($node->class),
            default => null,
        };

        return $of === null ? null : $scope->getMethodReflection($of, $node->name->toString());
    }

    private static function isOurs(ClassReflection $class): bool
    {
        foreach (self::OURS as $prefix) {
            if (str_starts_with($class->getName(), $prefix)) {
                return true;
            }
        }

        return false;
    }
}
