// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include <compare>

namespace chalkline {

/// A number with a dimension. Adding, scaling and comparing stay inside one dimension; numbers go in and
/// come out only through named units (`Length::mm(3)`, `length.inches()`).
template <class Unit>
class Quantity {
 public:
    constexpr Quantity() = default;
    friend constexpr auto operator<=>(const Quantity&, const Quantity&) = default;
    friend constexpr Unit operator+(Unit a, Unit b) { return Unit::raw(a.value_ + b.value_); }
    friend constexpr Unit operator-(Unit a, Unit b) { return Unit::raw(a.value_ - b.value_); }
    friend constexpr Unit operator-(Unit a) { return Unit::raw(-a.value_); }
    friend constexpr Unit operator*(Unit a, double factor) { return Unit::raw(a.value_ * factor); }
    friend constexpr Unit operator*(double factor, Unit a) { return Unit::raw(a.value_ * factor); }
    friend constexpr Unit operator/(Unit a, double divisor) { return Unit::raw(a.value_ / divisor); }
    friend constexpr double operator/(Unit a, Unit b) { return a.value_ / b.value_; }
    friend constexpr Unit& operator+=(Unit& a, Unit b) { return a = a + b; }

 protected:
    static constexpr Unit raw(double value) {
        Unit unit;
        unit.value_ = value;
        return unit;
    }
    double value_ = 0;
};

/// Length; millimetres inside.
class Length : public Quantity<Length> {
 public:
    static constexpr Length mm(double value) { return raw(value); }
    static constexpr Length inches(double value) { return raw(value * 25.4); }
    constexpr double mm() const { return value_; }
    constexpr double inches() const { return value_ / 25.4; }
    /// Lines (or dots) to an inch when they lie this far apart.
    constexpr double per_inch() const { return 25.4 / value_; }
    friend Quantity;
};

/// Speed of the head; millimetres a minute inside, as G-code states it.
class Speed : public Quantity<Speed> {
 public:
    static constexpr Speed mm_per_min(double value) { return raw(value); }
    static constexpr Speed mm_per_s(double value) { return raw(value * 60); }
    static constexpr Speed inches_per_s(double value) { return raw(value * 60 * 25.4); }
    constexpr double mm_per_min() const { return value_; }
    constexpr double mm_per_s() const { return value_ / 60; }
    constexpr double inches_per_s() const { return value_ / 60 / 25.4; }
    friend Quantity;
};

/// Beam power as a share of the machine's full power; per cent inside.
class Power : public Quantity<Power> {
 public:
    static constexpr Power percent(double value) { return raw(value); }
    constexpr double percent() const { return value_; }
    constexpr double fraction() const { return value_ / 100; }
    friend Quantity;
};

/// Time; seconds inside.
class Duration : public Quantity<Duration> {
 public:
    static constexpr Duration seconds(double value) { return raw(value); }
    constexpr double seconds() const { return value_; }
    friend Quantity;
};

}  // namespace chalkline
