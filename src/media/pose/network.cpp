#include "media/pose/network.h"
#include "model_schema_generated.h"
#include <algorithm>
#include <cmath>
#include <cstring>
#include <fstream>
#include <limits>
#include <mutex>
#include <optional>
#include <set>
#include <xnnpack.h>

namespace bevel {
namespace {

enum Op {
    op_add = 0,
    op_concatenation = 2,
    op_conv = 3,
    op_depthwise = 4,
    op_depth_to_space = 5,
    op_dequantize = 6,
    op_logistic = 14,
    op_max_pool = 17,
    op_reshape = 22,
    op_resize = 23,
    op_pad = 34,
    op_densify = 124
};
constexpr std::uint32_t no_id = std::numeric_limits<std::uint32_t>::max();
constexpr float inf = std::numeric_limits<float>::infinity();

struct BadModel {
    std::string what;
};

float half_to_float(std::uint16_t h) {
    const std::uint32_t sign = (h & 0x8000U) << 16U, exp = (h >> 10U) & 31U, frac = h & 0x3FFU;
    if (exp == 0) {
        const float v = static_cast<float>(frac) * 5.9604645e-8F;
        return sign != 0U ? -v : v;
    }
    const std::uint32_t bits = exp == 31 ? (sign | 0x7F800000U | (frac << 13U)) : (sign | ((exp + 112) << 23U) | (frac << 13U));
    float f = 0;
    std::memcpy(&f, &bits, 4);
    return f;
}

std::vector<int> indices_of(model::IndexVector type, const void* v) {
    std::vector<int> out;
    auto copy = [&](const auto* values) {
        if (values)
            for (const auto x : *values) out.push_back(static_cast<int>(x));
    };
    if (!v) return out;
    if (type == model::IndexVector_Int32Vector) copy(static_cast<const model::Int32Vector*>(v)->values());
    if (type == model::IndexVector_Uint16Vector) copy(static_cast<const model::Uint16Vector*>(v)->values());
    if (type == model::IndexVector_Uint8Vector) copy(static_cast<const model::Uint8Vector*>(v)->values());
    return out;
}

std::size_t count_of(const std::vector<int>& shape) {
    std::size_t n = 1;
    for (const int d : shape) {
        if (d < 1 || d > (1 << 24)) throw BadModel{"shape"};
        n *= static_cast<std::size_t>(d);
        if (n > (1U << 28U)) throw BadModel{"shape"};
    }
    return n;
}

/// Expands a block-sparse tensor to its dense form.
class Densifier {
public:
    Densifier(const model::Sparsity& s, const std::vector<int>& shape, std::vector<float> values)
        : shape_(shape), values_(std::move(values)) {
        if (!s.traversal_order() || !s.dim_metadata()) throw BadModel{"sparsity"};
        for (const int d : *s.traversal_order()) order_.push_back(d);
        if (s.block_map())
            for (const int b : *s.block_map()) block_map_.push_back(b);
        for (const auto* m : *s.dim_metadata())
            levels_.push_back({m->format() == 0, m->dense_size(), indices_of(m->array_segments_type(), m->array_segments()),
                               indices_of(m->array_indices_type(), m->array_indices())});
        if (levels_.size() != order_.size() || order_.size() != shape.size() + block_map_.size()) throw BadModel{"sparsity"};
        at_.assign(levels_.size(), 0);
        dense_.assign(count_of(shape), 0.0F);
    }
    std::vector<float> run() {
        walk(0, 0);
        return std::move(dense_);
    }

private:
    struct LevelData {
        bool dense;
        int size;
        std::vector<int> segments, indices;
    };
    void put() {
        if (next_ >= values_.size()) throw BadModel{"sparse values"};
        std::vector<int> coord(shape_.size(), 0);
        for (std::size_t l = 0; l < order_.size(); ++l)
            if (order_[l] >= 0 && static_cast<std::size_t>(order_[l]) < shape_.size()) coord[static_cast<std::size_t>(order_[l])] = at_[l];
        for (std::size_t l = 0; l < order_.size(); ++l) {
            if (order_[l] < 0 || static_cast<std::size_t>(order_[l]) < shape_.size()) continue;
            const int original = block_map_.at(static_cast<std::size_t>(order_[l]) - shape_.size());
            auto& c = coord.at(static_cast<std::size_t>(original));
            c = c * levels_[l].size + at_[l];
        }
        std::size_t flat = 0;
        for (std::size_t d = 0; d < shape_.size(); ++d) {
            if (coord[d] < 0 || coord[d] >= shape_[d]) throw BadModel{"sparse index"};
            flat = flat * static_cast<std::size_t>(shape_[d]) + static_cast<std::size_t>(coord[d]);
        }
        dense_[flat] = values_[next_++];
    }
    void walk(std::size_t level, int parent) {
        if (level == levels_.size()) {
            put();
            return;
        }
        const auto& l = levels_[level];
        if (l.dense) {
            for (int i = 0; i < l.size; ++i) {
                at_[level] = i;
                walk(level + 1, parent * l.size + i);
            }
            return;
        }
        const auto p = static_cast<std::size_t>(parent);
        if (p + 1 >= l.segments.size()) throw BadModel{"sparse segment"};
        for (int i = l.segments[p]; i < l.segments[p + 1]; ++i) {
            at_[level] = l.indices.at(static_cast<std::size_t>(i));
            walk(level + 1, i);
        }
    }
    std::vector<int> shape_, order_, block_map_, at_;
    std::vector<LevelData> levels_;
    std::vector<float> values_, dense_;
    std::size_t next_ = 0;
};

struct Range {
    float low, high;
};
Range activation(int a) {
    switch (a) {
    case 0:
        return {-inf, inf};
    case 1:
        return {0, inf};
    case 2:
        return {-1, 1};
    case 3:
        return {0, 6};
    default:
        throw BadModel{"activation"};
    }
}

} // namespace

struct Network::Impl {
    struct Out {
        std::string name;
        std::vector<std::pair<int, std::vector<float>>> parts; // tensor, values (joined for a concatenation)
        std::vector<float> joined;
    };
    xnn_subgraph_t graph = nullptr;
    xnn_runtime_t runtime = nullptr;
    std::vector<float> in;
    std::vector<int> in_shape;
    std::vector<Out> outs;
    std::map<int, std::vector<float>> constants; // tensors known at load; XNNPACK reads past the end by XNN_EXTRA_BYTES

    ~Impl() {
        if (runtime) xnn_delete_runtime(runtime);
        if (graph) xnn_delete_subgraph(graph);
    }
};

namespace {

class Builder {
public:
    Builder(const model::Model& m, Network::Impl& impl, const std::vector<std::string>& wanted) : model_(m), impl_(impl) {
        if (!m.subgraphs() || m.subgraphs()->size() < 1 || !m.buffers() || !m.operator_codes()) throw BadModel{"no graph"};
        sub_ = m.subgraphs()->Get(0);
        if (!sub_->tensors() || !sub_->operators() || !sub_->inputs() || sub_->inputs()->size() != 1) throw BadModel{"graph"};
        choose_outputs(wanted);
        prune();
    }

    void build() {
        if (xnn_create_subgraph(static_cast<std::uint32_t>(externals_ + 1), 0, &impl_.graph) != xnn_status_success) throw BadModel{"graph"};
        const int input = sub_->inputs()->Get(0);
        impl_.in_shape = shape(input);
        impl_.in.assign(count_of(impl_.in_shape) + XNN_EXTRA_BYTES, 0.0F);
        define(input, 0, XNN_VALUE_FLAG_EXTERNAL_INPUT);
        std::uint32_t next = 1;
        for (auto& o : impl_.outs)
            for (auto& [tensor, values] : o.parts) {
                values.assign(count_of(shape(tensor)) + XNN_EXTRA_BYTES, 0.0F);
                define(tensor, next++, XNN_VALUE_FLAG_EXTERNAL_OUTPUT);
            }
        for (unsigned i = 0; i < sub_->operators()->size(); ++i)
            if (needed_ops_.contains(static_cast<int>(i))) add(*sub_->operators()->Get(i));
        if (xnn_create_runtime_v2(impl_.graph, nullptr, 0, &impl_.runtime) != xnn_status_success) throw BadModel{"runtime"};
        std::vector<xnn_external_value> ext{{0, impl_.in.data()}};
        next = 1;
        for (auto& o : impl_.outs)
            for (auto& part : o.parts) ext.push_back({next++, part.second.data()});
        if (xnn_setup_runtime(impl_.runtime, ext.size(), ext.data()) != xnn_status_success) throw BadModel{"runtime"};
    }

private:
    const model::Tensor& tensor(int i) const {
        if (i < 0 || static_cast<unsigned>(i) >= sub_->tensors()->size()) throw BadModel{"tensor index"};
        return *sub_->tensors()->Get(static_cast<unsigned>(i));
    }
    std::vector<int> shape(int i) const {
        std::vector<int> s;
        if (tensor(i).shape())
            for (const int d : *tensor(i).shape()) s.push_back(d);
        return s;
    }
    int code(const model::Operator& op) const {
        if (op.opcode_index() >= model_.operator_codes()->size()) throw BadModel{"operator"};
        const auto* c = model_.operator_codes()->Get(op.opcode_index());
        return std::max<int>(c->code(), c->short_code());
    }
    int arg(const model::Operator& op, unsigned i) const {
        if (!op.inputs() || i >= op.inputs()->size()) throw BadModel{"operator inputs"};
        return op.inputs()->Get(i);
    }
    int out(const model::Operator& op) const {
        if (!op.outputs() || op.outputs()->size() != 1) throw BadModel{"operator outputs"};
        return op.outputs()->Get(0);
    }
    const model::Operator* maker(int t) const {
        for (const auto* op : *sub_->operators())
            if (op->outputs() && op->outputs()->size() > 0 && op->outputs()->Get(0) == t) return op;
        return nullptr;
    }

    void choose_outputs(const std::vector<std::string>& wanted) {
        for (const auto& name : wanted) {
            int found = -1;
            for (const int t : *sub_->outputs())
                if (tensor(t).name() && tensor(t).name()->str() == name) found = t;
            if (found < 0) throw BadModel{"no output " + name};
            Network::Impl::Out o{name, {}, {}};
            const auto* op = maker(found);
            if (op && code(*op) == op_concatenation)
                for (const int part : *op->inputs()) o.parts.emplace_back(part, std::vector<float>{});
            else
                o.parts.emplace_back(found, std::vector<float>{});
            externals_ += static_cast<int>(o.parts.size());
            impl_.outs.push_back(std::move(o));
        }
    }

    void prune() {
        std::set<int> tensors;
        for (const auto& o : impl_.outs)
            for (const auto& p : o.parts) tensors.insert(p.first);
        for (int i = static_cast<int>(sub_->operators()->size()) - 1; i >= 0; --i) {
            const auto& op = *sub_->operators()->Get(static_cast<unsigned>(i));
            if (!op.outputs() || op.outputs()->size() == 0 || !tensors.contains(op.outputs()->Get(0))) continue;
            needed_ops_.insert(i);
            for (const int t : *op.inputs()) {
                tensors.insert(t);
                ++uses_[t];
            }
        }
    }

    std::vector<float> raw(int t) const {
        const auto& ten = tensor(t);
        if (ten.buffer() >= model_.buffers()->size()) throw BadModel{"buffer"};
        const auto* data = model_.buffers()->Get(ten.buffer())->data();
        if (!data || data->size() == 0) return {};
        std::vector<float> v;
        if (ten.type() == 0) {
            v.resize(data->size() / 4);
            std::memcpy(v.data(), data->data(), v.size() * 4);
        } else if (ten.type() == 1) {
            v.reserve(data->size() / 2 + XNN_EXTRA_BYTES);
            for (unsigned i = 0; i + 1 < data->size(); i += 2)
                v.push_back(half_to_float(static_cast<std::uint16_t>(data->Get(i) | (data->Get(i + 1) << 8))));
        } else if (ten.type() == 2) {
            for (unsigned i = 0; i + 3 < data->size(); i += 4) {
                std::int32_t x = 0;
                std::memcpy(&x, data->data() + i, 4);
                v.push_back(static_cast<float>(x));
            }
        } else {
            throw BadModel{"tensor type"};
        }
        return v;
    }

    /// Values known at load: constants, and what DENSIFY and DEQUANTIZE make of them.
    const std::vector<float>* constant(int t) {
        if (const auto it = impl_.constants.find(t); it != impl_.constants.end()) return &it->second;
        std::vector<float> v;
        if (const auto* op = maker(t)) {
            const int c = code(*op);
            if (c == op_dequantize) {
                const auto* src = constant(arg(*op, 0));
                if (!src) return nullptr;
                v = *src;
            } else if (c == op_densify) {
                const int src = arg(*op, 0);
                if (!tensor(src).sparsity()) throw BadModel{"densify"};
                v = Densifier(*tensor(src).sparsity(), shape(t), raw(src)).run();
            } else {
                return nullptr;
            }
        } else {
            v = raw(t);
            if (v.empty()) return nullptr;
        }
        const std::size_t n = shape(t).empty() ? 1 : count_of(shape(t));
        if (v.size() < n) throw BadModel{"constant"};
        v.resize(n + XNN_EXTRA_BYTES, 0.0F);
        return &(impl_.constants[t] = std::move(v));
    }

    void define(int t, std::uint32_t external, std::uint32_t flags) {
        std::vector<std::size_t> dims;
        for (const int d : shape(t)) dims.push_back(static_cast<std::size_t>(d));
        const std::vector<float>* data = external == no_id ? constant(t) : nullptr;
        std::uint32_t id = no_id;
        if (dims.size() > XNN_MAX_TENSOR_DIMS ||
            xnn_define_tensor_value(impl_.graph, xnn_datatype_fp32, dims.size(), dims.data(), data ? data->data() : nullptr,
                                    external == no_id ? XNN_INVALID_VALUE_ID : external, flags, &id) != xnn_status_success)
            throw BadModel{"tensor"};
        ids_[t] = id;
    }
    std::uint32_t id(int t) {
        if (!ids_.contains(t)) define(t, no_id, 0);
        return ids_[t];
    }

    struct Pads {
        std::uint32_t top = 0, right = 0, bottom = 0, left = 0;
    };
    /// A spatial PAD before a convolution is folded into it.
    int unpadded(int t, Pads& pads, bool valid) {
        const auto* op = maker(t);
        if (!valid || !op || code(*op) != op_pad || uses_[t] != 1) return t;
        const auto* p = constant(arg(*op, 1));
        if (!p || shape(t).size() != 4 || (*p)[0] != 0 || (*p)[1] != 0 || (*p)[6] != 0 || (*p)[7] != 0) return t;
        pads = {static_cast<std::uint32_t>((*p)[2]), static_cast<std::uint32_t>((*p)[5]), static_cast<std::uint32_t>((*p)[3]),
                static_cast<std::uint32_t>((*p)[4])};
        return arg(*op, 0);
    }
    template <class T> const T& options(const model::Operator& op) const {
        if (!op.options()) throw BadModel{"options"};
        return *reinterpret_cast<const T*>(op.options());
    }
    bool folded_away(const model::Operator& op) {
        if (uses_[out(op)] != 1) return false;
        for (const int i : needed_ops_) {
            const auto& user = *sub_->operators()->Get(static_cast<unsigned>(i));
            if (arg(user, 0) != out(op)) continue;
            const int c = code(user);
            const bool valid = (c == op_conv && options<model::ConvOptions>(user).padding() == 1) ||
                               (c == op_depthwise && options<model::DepthwiseOptions>(user).padding() == 1);
            Pads pads;
            return unpadded(out(op), pads, valid) != out(op);
        }
        return false;
    }

    void check(xnn_status s, const char* what) {
        if (s != xnn_status_success) throw BadModel{what};
    }

    void add(const model::Operator& op) {
        switch (code(op)) {
        case op_conv:
            conv(op);
            break;
        case op_depthwise:
            depthwise(op);
            break;
        case op_add: {
            const Range r = activation(op.options() ? options<model::AddOptions>(op).activation() : 0);
            check(xnn_define_add2(impl_.graph, r.low, r.high, id(arg(op, 0)), id(arg(op, 1)), id(out(op)), 0), "add");
            break;
        }
        case op_pad: {
            if (folded_away(op)) break;
            const auto* p = constant(arg(op, 1));
            if (!p) throw BadModel{"pad"};
            std::array<std::size_t, XNN_MAX_TENSOR_DIMS> pre{}, post{};
            for (std::size_t d = 0; d < shape(out(op)).size(); ++d) {
                pre[d] = static_cast<std::size_t>((*p)[2 * d]);
                post[d] = static_cast<std::size_t>((*p)[2 * d + 1]);
            }
            check(xnn_define_static_constant_pad(impl_.graph, pre.data(), post.data(), 0, id(arg(op, 0)), id(out(op)), 0), "pad");
            break;
        }
        case op_resize: {
            const auto s = shape(out(op));
            const auto& o = options<model::ResizeOptions>(op);
            const std::uint32_t flags = o.align_corners()        ? XNN_FLAG_ALIGN_CORNERS
                                        : o.half_pixel_centers() ? 0
                                                                 : XNN_FLAG_TENSORFLOW_LEGACY_MODE;
            check(xnn_define_static_resize_bilinear_2d(impl_.graph, static_cast<std::size_t>(s.at(1)), static_cast<std::size_t>(s.at(2)),
                                                       id(arg(op, 0)), id(out(op)), flags),
                  "resize");
            break;
        }
        case op_max_pool: {
            const auto& o = options<model::PoolOptions>(op);
            const Range r = activation(o.activation());
            check(xnn_define_max_pooling_2d(impl_.graph, 0, 0, 0, 0, u(o.filter_h()), u(o.filter_w()), u(o.stride_h()), u(o.stride_w()), 1,
                                            1, r.low, r.high, id(arg(op, 0)), id(out(op)),
                                            o.padding() == 0 ? XNN_FLAG_TENSORFLOW_SAME_PADDING : 0),
                  "pool");
            break;
        }
        case op_reshape: {
            std::vector<std::size_t> dims;
            for (const int d : shape(out(op))) dims.push_back(static_cast<std::size_t>(d));
            check(xnn_define_static_reshape(impl_.graph, dims.size(), dims.data(), id(arg(op, 0)), id(out(op)), 0), "reshape");
            break;
        }
        case op_logistic:
            check(xnn_define_sigmoid(impl_.graph, id(arg(op, 0)), id(out(op)), 0), "sigmoid");
            break;
        case op_depth_to_space:
            check(xnn_define_depth_to_space(impl_.graph, id(arg(op, 0)), id(out(op)),
                                            u(options<model::DepthToSpaceOptions>(op).block_size()), 0),
                  "depth to space");
            break;
        case op_dequantize:
        case op_densify:
            if (!constant(out(op))) throw BadModel{"constant"};
            break;
        default:
            throw BadModel{"operator " + std::to_string(code(op))};
        }
    }
    static std::uint32_t u(int v) {
        if (v < 1 || v > 4096) throw BadModel{"size"};
        return static_cast<std::uint32_t>(v);
    }
    void conv(const model::Operator& op) {
        const auto& o = options<model::ConvOptions>(op);
        const auto f = shape(arg(op, 1));
        Pads p;
        const int in = unpadded(arg(op, 0), p, o.padding() == 1);
        const Range r = activation(o.activation());
        if (f.size() != 4) throw BadModel{"filter"};
        check(xnn_define_convolution_2d(impl_.graph, p.top, p.right, p.bottom, p.left, u(f[1]), u(f[2]), u(o.stride_h()), u(o.stride_w()),
                                        u(o.dilation_h()), u(o.dilation_w()), 1, static_cast<std::size_t>(f[3]),
                                        static_cast<std::size_t>(f[0]), r.low, r.high, id(in), id(arg(op, 1)), id(arg(op, 2)), id(out(op)),
                                        o.padding() == 0 ? XNN_FLAG_TENSORFLOW_SAME_PADDING : 0),
              "convolution");
    }
    void depthwise(const model::Operator& op) {
        const auto& o = options<model::DepthwiseOptions>(op);
        const auto f = shape(arg(op, 1));
        Pads p;
        const int in = unpadded(arg(op, 0), p, o.padding() == 1);
        const Range r = activation(o.activation());
        if (f.size() != 4) throw BadModel{"filter"};
        check(xnn_define_depthwise_convolution_2d(impl_.graph, p.top, p.right, p.bottom, p.left, u(f[1]), u(f[2]), u(o.stride_h()),
                                                  u(o.stride_w()), u(o.dilation_h()), u(o.dilation_w()), u(o.multiplier()),
                                                  static_cast<std::size_t>(f[3] / u(o.multiplier())), r.low, r.high, id(in), id(arg(op, 1)),
                                                  id(arg(op, 2)), id(out(op)), o.padding() == 0 ? XNN_FLAG_TENSORFLOW_SAME_PADDING : 0),
              "depthwise");
    }

    const model::Model& model_;
    Network::Impl& impl_;
    const model::SubGraph* sub_ = nullptr;
    int externals_ = 0;
    std::set<int> needed_ops_;
    std::map<int, int> uses_;
    std::map<int, std::uint32_t> ids_;
};

} // namespace

Network::Network(std::unique_ptr<Impl> impl) : impl_(std::move(impl)) {}
Network::Network(Network&&) noexcept = default;
Network& Network::operator=(Network&&) noexcept = default;
Network::~Network() = default;

Result<Network> Network::load(const std::filesystem::path& file, const std::vector<std::string>& outputs) {
    std::ifstream in(file, std::ios::binary | std::ios::ate);
    if (!in) return fail(Code::cannot_open, file.string());
    const auto size = in.tellg();
    if (size < 16 || size > (64 << 20)) return fail(Code::unreadable, file.string());
    std::vector<char> bytes(static_cast<std::size_t>(size));
    in.seekg(0);
    if (!in.read(bytes.data(), size)) return fail(Code::unreadable, file.string());
    static std::once_flag once;
    static bool ready = false;
    std::call_once(once, [] { ready = xnn_initialize(nullptr) == xnn_status_success; });
    if (!ready) return fail(Code::cannot_open, "XNNPACK");
    const auto* data = reinterpret_cast<const std::uint8_t*>(bytes.data());
    flatbuffers::Verifier verifier(data, bytes.size(), 64, 4000000);
    if (!verifier.VerifyBuffer<model::Model>(nullptr)) return fail(Code::unreadable, file.string());
    auto impl = std::make_unique<Impl>();
    try {
        Builder(*flatbuffers::GetRoot<model::Model>(data), *impl, outputs).build();
    } catch (const BadModel& b) {
        return fail(Code::unreadable, file.string() + ": " + b.what);
    } catch (const std::exception& e) {
        return fail(Code::unreadable, file.string() + ": " + e.what());
    }
    return Network(std::move(impl));
}

std::span<float> Network::input() {
    return {impl_->in.data(), impl_->in.size() - XNN_EXTRA_BYTES};
}
std::span<const int> Network::input_shape() const {
    return impl_->in_shape;
}

bool Network::run() {
    if (xnn_invoke_runtime(impl_->runtime) != xnn_status_success) return false;
    for (auto& o : impl_->outs) {
        if (o.parts.size() < 2) continue;
        o.joined.clear();
        for (const auto& p : o.parts) o.joined.insert(o.joined.end(), p.second.begin(), p.second.end() - XNN_EXTRA_BYTES);
    }
    return true;
}

std::span<const float> Network::output(const std::string& name) const {
    for (const auto& o : impl_->outs)
        if (o.name == name) {
            if (o.parts.size() > 1) return o.joined;
            const auto& v = o.parts.front().second;
            return {v.data(), v.size() - XNN_EXTRA_BYTES};
        }
    return {};
}

} // namespace bevel
